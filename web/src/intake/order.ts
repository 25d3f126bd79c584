import type { IntakeLine, IntakeView } from '@/api/client'

export type Heap = IntakeLine['heap']
export const HEAPS: { heap: Heap; title: string; empty: string }[] = [
  { heap: 'ASKS_YOU', title: 'Asks you', empty: 'Nobody asks anything of you.' },
  { heap: 'TO_READ', title: 'To read', empty: 'Nothing to read.' },
  { heap: 'AUTOMATIC', title: 'Automatic', empty: 'Nothing automatic.' },
]

/** The room or the thread that a message belongs to. */
export function talkOf(line: IntakeLine): string {
  return line.roomId ?? line.threadId
}

/** What belongs to one room or thread stands together, at the place of its first. */
function gathered(lines: readonly IntakeLine[]): IntakeLine[] {
  const talks = new Map<string, IntakeLine[]>()
  for (const line of lines) {
    const talk = talks.get(talkOf(line))
    if (talk) {
      talk.push(line)
    } else {
      talks.set(talkOf(line), [line])
    }
  }
  return [...talks.values()].flat()
}

/**
 * The lines as they are worked through: heap by heap, what was left at the end of its heap. What asks stays in the
 * order in which it is wanted; of the others each room and thread stands together.
 */
export function inOrder(lines: readonly IntakeLine[], left: ReadonlySet<string>): IntakeLine[] {
  return HEAPS.flatMap(({ heap }) => {
    const own = lines.filter((line) => line.heap === heap)
    const parts = [
      own.filter((line) => !left.has(line.id)),
      own.filter((line) => left.has(line.id)),
    ]
    return parts.flatMap((part) => (heap === 'ASKS_YOU' ? part : gathered(part)))
  })
}

/** The view as it is once messages are decided. */
export function without(view: IntakeView, ids: ReadonlySet<string>): IntakeView {
  const gone = view.lines.filter((line) => ids.has(line.id))
  if (gone.length === 0) {
    return view
  }
  const counts = { ...view.counts }
  for (const line of gone) {
    counts[line.heap] = (counts[line.heap] ?? 1) - 1
  }
  return {
    ...view,
    total: view.total - gone.length,
    counts,
    lines: view.lines.filter((line) => !ids.has(line.id)),
  }
}
