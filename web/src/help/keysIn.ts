import { EVERYWHERE, keyFor, KEYS_EVERYWHERE, keyName, type KeyBinding } from '@/ui/keys'
import { VIEWS } from '@/ui/views'

const NAMED = /\[\[([^/\]]+)\/([^\]]+)\]\]/g

/** The key that does something, as it is now; undefined where there is none by that name. */
function keyOf(group: string, does: string): string | undefined {
  const bindings: readonly KeyBinding[] =
    group === EVERYWHERE
      ? [...Object.values(KEYS_EVERYWHERE), { key: '/', does: 'Find' }].map((key) => ({
          ...key,
          run: () => undefined,
        }))
      : Object.values(VIEWS.find((view) => view.name === group)?.keys ?? {}).map((key) => ({
          ...key,
          run: () => undefined,
        }))
  const binding = bindings.find((each) => each.does === does)
  return binding && keyName(keyFor(group, binding))
}

/** A text with the keys in place of what names them: `[[Intake/Answer]]`. */
export function withKeys(text: string): string {
  return text.replace(NAMED, (name, group: string, does: string) => {
    const key = keyOf(group, does)
    return key === undefined ? name : `\`${key}\``
  })
}
