import type { IntakeLine, IntakeView } from '@/api/client'

export type Heap = IntakeLine['heap']
export const HEAPS: { heap: Heap; title: string; empty: string }[] = [
  { heap: 'ASKS_YOU', title: 'Asks you', empty: 'Nobody asks anything of you.' },
  { heap: 'TO_READ', title: 'To read', empty: 'Nothing to read.' },
  { heap: 'AUTOMATIC', title: 'Automatic', empty: 'Nothing automatic.' },
]

/** The lines as they are worked through: heap by heap, newest first, what was left at the end of its heap. */
export function inOrder(lines: readonly IntakeLine[], left: ReadonlySet<string>): IntakeLine[] {
  return HEAPS.flatMap(({ heap }) => {
    const own = lines.filter((line) => line.heap === heap)
    return [...own.filter((line) => !left.has(line.id)), ...own.filter((line) => left.has(line.id))]
  })
}

/** The line to open after this one: the next in order that stays, else the one before. */
export function after(
  lines: readonly IntakeLine[],
  id: string | undefined,
  leaving: ReadonlySet<string> = new Set(),
): string | undefined {
  const place = lines.findIndex((line) => line.id === id)
  const stays = (line: IntakeLine) => line.id !== id && !leaving.has(line.id)
  const before = lines.slice(0, Math.max(place, 0)).filter(stays)
  return (lines.slice(place + 1).find(stays) ?? before.at(-1))?.id
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
