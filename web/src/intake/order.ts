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

/** The line to open after this one: the next in order, else the one before. */
export function after(lines: readonly IntakeLine[], id: string | undefined): string | undefined {
  const place = lines.findIndex((line) => line.id === id)
  return (lines[place + 1] ?? lines[place - 1])?.id
}

/** The view as it is once a message is decided. */
export function without(view: IntakeView, id: string): IntakeView {
  const line = view.lines.find((each) => each.id === id)
  if (!line) {
    return view
  }
  return {
    ...view,
    total: view.total - 1,
    counts: { ...view.counts, [line.heap]: (view.counts[line.heap] ?? 1) - 1 },
    lines: view.lines.filter((each) => each.id !== id),
  }
}
