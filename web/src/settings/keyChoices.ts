import { EVERYWHERE, keyId, keyName, KEYS_EVERYWHERE } from '@/ui/keys'
import { VIEWS, type ViewKey } from '@/ui/views'

interface Choice {
  does: string
  key: string
}

function choice(key: ViewKey): Choice {
  return { does: key.does, key: key.shift ? `shift+${key.key}` : key.key }
}

/** A letter, a digit or a mark; what moves stays as it is. */
function canChange(key: ViewKey): boolean {
  return key.key.length === 1 && key.key !== ' '
}

/** What can be done by a key of one's own choice, with the key it has unless another one is chosen. */
export const CHANGEABLE: readonly { title: string; bindings: readonly Choice[] }[] = [
  {
    title: EVERYWHERE,
    bindings: [
      ...VIEWS.flatMap((view) => (view.key ? [{ does: view.name, key: view.key }] : [])),
      choice(KEYS_EVERYWHERE.capture),
      choice(KEYS_EVERYWHERE.undo),
    ],
  },
  ...VIEWS.map((view) => ({
    title: view.name,
    bindings: Object.values(view.keys).filter(canChange).map(choice),
  })).filter((group) => group.bindings.length > 0),
]

/** The name of a key press that can be chosen: a letter, a digit or a mark, with shift where it is a letter. */
export function pressed(event: KeyboardEvent): string | undefined {
  if (
    event.key.length !== 1 ||
    event.key === ' ' ||
    event.ctrlKey ||
    event.metaKey ||
    event.altKey
  ) {
    return undefined
  }
  const letter = event.key.toLowerCase()
  return event.shiftKey && letter !== event.key ? `shift+${letter}` : letter
}

/** A chosen key as it is shown. */
export function shownChange(key: string): string {
  return key.startsWith('shift+') ? keyName({ key: key.slice(6), shift: true }) : keyName({ key })
}

/** What has this key already, in the same view or everywhere; undefined when it is free. */
export function clashes(
  id: string,
  key: string,
  chosen: Readonly<Record<string, string>>,
): string | undefined {
  const own = CHANGEABLE.find((group) =>
    group.bindings.some((each) => keyId(group.title, each.does) === id),
  )?.title
  const beside = CHANGEABLE.filter(
    (group) => own === EVERYWHERE || group.title === EVERYWHERE || group.title === own,
  )
  for (const group of beside) {
    for (const each of group.bindings) {
      const other = keyId(group.title, each.does)
      if (other !== id && (chosen[other] ?? each.key) === key) {
        return each.does
      }
    }
  }
  return undefined
}
