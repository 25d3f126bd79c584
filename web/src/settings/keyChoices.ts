import { keyId, keyName } from '@/ui/keys'

/** What can be done by a key of one's own choice, with the key it has unless another one is chosen. */
export const CHANGEABLE = [
  {
    title: 'Everywhere',
    bindings: [
      { does: 'Intake', key: '1' },
      { does: 'Follow-ups', key: '2' },
      { does: 'Threads', key: '3' },
      { does: 'Settings', key: '4' },
      { does: 'Capture', key: 'c' },
      { does: 'Undo the last change', key: 'u' },
    ],
  },
  {
    title: 'Intake',
    bindings: [
      { does: 'Answer', key: 'a' },
      { does: 'Follow up', key: 'f' },
      { does: 'Add to a follow-up', key: 'g' },
      { does: 'Hand over', key: 'h' },
      { does: 'Recipes', key: 'r' },
      { does: 'Nothing to do', key: 'n' },
      { does: 'Nothing to do, always', key: 'shift+n' },
      { does: 'Put off', key: 'p' },
      { does: 'Leave for later', key: 'l' },
      { does: 'Pick, or let go', key: 'x' },
      { does: 'Wrong: it asks, or does not', key: 'w' },
      { does: 'Wrong for all from there', key: 'shift+w' },
    ],
  },
] as const

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
  for (const group of CHANGEABLE) {
    for (const each of group.bindings) {
      const other = keyId(group.title, each.does)
      if (other !== id && (chosen[other] ?? each.key) === key) {
        return each.does
      }
    }
  }
  return undefined
}
