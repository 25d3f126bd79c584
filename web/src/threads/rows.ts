import type { ThreadLine } from '@/api/client'

/** A row of the list: a thread, in a group where rows stand in groups. */
export interface ThreadRow {
  /** A thread may stand with each of several people. */
  key: string
  line: ThreadLine
  /** What stands above it, where a group begins with it. */
  heading: ThreadLine['group']
}

/** The rows of a list; what was decided here and is on its way out of it is left out. */
export function rowsOf(
  lines: readonly ThreadLine[],
  gone: ReadonlySet<string> = new Set(),
): ThreadRow[] {
  let before: string | undefined
  return lines
    .filter((line) => !gone.has(line.id))
    .map((line) => {
      const heading = line.group && line.group.key !== before ? line.group : null
      before = line.group?.key
      return { key: `${line.group?.key ?? ''} ${line.id}`, line, heading }
    })
}

/** The same thread with nothing but what is open with one person. */
export function openWith(line: ThreadLine, address: string | undefined): ThreadLine {
  return address === undefined
    ? line
    : {
        ...line,
        debts: line.debts.filter((debt) => debt.address === address),
        awaited: line.awaited.filter((one) => one.address === address),
      }
}
