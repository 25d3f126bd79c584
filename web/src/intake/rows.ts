import type { IntakeLine } from '@/api/client'
import { HEAPS, talkOf, type Heap } from '@/intake/order'
import type { RowGroup } from '@/ui/rows'

/** A message in the list. */
export interface LineRow {
  readonly kind: 'line'
  readonly key: string
  readonly height: number
  readonly line: IntakeLine
  readonly first: IntakeLine
  /** Whether it belongs to a talk that was unfolded, and so could be folded again. */
  readonly unfolded: boolean
}

/** Several messages of one room or one thread in one row, to be decided as one or unfolded. */
export interface FoldRow {
  readonly kind: 'fold'
  readonly key: string
  readonly height: number
  readonly lines: readonly IntakeLine[]
  /** The one that is shown when the row is opened. */
  readonly first: IntakeLine
}

export type Row = LineRow | FoldRow

/** Rows are as high as what they say needs, and as high as a thumb needs. */
export interface RowHeights {
  readonly asks: number
  readonly others: number
}
export const POINTER: RowHeights = { asks: 46, others: 30 }
export const THUMB: RowHeights = { asks: 52, others: 44 }

/** So many of one talk that follow each other become one row. */
const FOLDED_FROM = 3

/** Names what can be folded: a room or thread within its heap. */
export function foldOf(line: IntakeLine): string {
  return `${line.heap} ${talkOf(line)}`
}

function foldable(line: IntakeLine): boolean {
  // What asks in a mail thread is one ask each; a room is one stream.
  return line.heap !== 'ASKS_YOU' || line.roomId !== null
}

function runsOf(lines: readonly IntakeLine[]): IntakeLine[][] {
  const runs: IntakeLine[][] = []
  for (const line of lines) {
    const run = runs.at(-1)
    if (run?.[0] && foldable(line) && foldOf(run[0]) === foldOf(line)) {
      run.push(line)
    } else {
      runs.push([line])
    }
  }
  return runs
}

/** The rows of a heap's lines, which are in order. */
export function rowsOf(
  lines: readonly IntakeLine[],
  unfolded: ReadonlySet<string>,
  heights: RowHeights = POINTER,
): Row[] {
  return runsOf(lines).flatMap((run): Row[] => {
    const first = run[0]
    if (!first) {
      return []
    }
    const height = first.heap === 'ASKS_YOU' ? heights.asks : heights.others
    const many = run.length >= FOLDED_FROM
    return many && !unfolded.has(foldOf(first))
      ? [{ kind: 'fold', key: first.id, height, lines: run, first }]
      : run.map((line) => ({
          kind: 'line',
          key: line.id,
          height,
          line,
          first: line,
          unfolded: many,
        }))
  })
}

export interface HeapRows extends RowGroup<Row> {
  readonly heap: Heap
  readonly empty: string
  /** How many of its messages are in the list. */
  readonly lines: number
  /** How many there are in all. */
  readonly count: number
}

/** The heaps of Intake with their rows. */
export function heapsOf(
  lines: readonly IntakeLine[],
  unfolded: ReadonlySet<string>,
  counts: Readonly<Partial<Record<Heap, number>>>,
  heights: RowHeights = POINTER,
): HeapRows[] {
  return HEAPS.map(({ heap, title, empty }) => {
    const own = lines.filter((line) => line.heap === heap)
    const count = counts[heap] ?? own.length
    return {
      key: heap,
      heap,
      title,
      empty,
      lines: own.length,
      rows: rowsOf(own, unfolded, heights),
      count,
      end: own.length === 0 || count > own.length,
    }
  })
}

/** The messages of a row. */
export function linesOf(row: Row): readonly IntakeLine[] {
  return row.kind === 'fold' ? row.lines : [row.line]
}

/** The row that a message is in. */
export function rowWith(rows: readonly Row[], id: string | undefined): Row | undefined {
  return rows.find((row) => linesOf(row).some((line) => line.id === id))
}

/** The message to open after a row: of the next row that keeps one, else of the one before. */
export function after(
  rows: readonly Row[],
  row: Row | undefined,
  leaving: ReadonlySet<string> = new Set(),
): string | undefined {
  const place = row ? rows.indexOf(row) : -1
  const others = [...rows.slice(place + 1), ...rows.slice(0, Math.max(place, 0)).reverse()]
  return others.flatMap(linesOf).find((line) => !leaving.has(line.id))?.id
}
