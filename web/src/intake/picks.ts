import type { IntakeLine } from '@/api/client'

/** The picked messages, and where the last pick was made, from which a range goes on. */
export interface Picks {
  readonly ids: ReadonlySet<string>
  readonly anchor: string | undefined
}

export const NONE: Picks = { ids: new Set(), anchor: undefined }

/** Picks the messages of a row, or takes them out again where all of them are picked. */
export function toggled(picks: Picks, row: readonly string[]): Picks {
  const all = row.every((id) => picks.ids.has(id))
  const ids = new Set([...picks.ids, ...row])
  if (all) {
    row.forEach((id) => ids.delete(id))
  }
  return { ids, anchor: row[0] }
}

/** Picks everything from the last pick to the messages of a row; what was picked stays. */
export function extended(
  picks: Picks,
  lines: readonly IntakeLine[],
  row: readonly string[],
): Picks {
  const ends = [picks.anchor ?? row[0], row[0], row.at(-1)].map((id) =>
    lines.findIndex((line) => line.id === id),
  )
  if (ends.includes(-1)) {
    return toggled(picks, row)
  }
  const range = lines.slice(Math.min(...ends), Math.max(...ends) + 1)
  return {
    ids: new Set([...picks.ids, ...range.map((line) => line.id)]),
    anchor: picks.anchor ?? row[0],
  }
}

/** Without messages that are no longer in the list. */
export function still(picks: Picks, lines: readonly IntakeLine[]): Picks {
  const ids = new Set(lines.map((line) => line.id).filter((id) => picks.ids.has(id)))
  return ids.size === picks.ids.size ? picks : { ...picks, ids }
}

/** A way to pick all messages that have something in common with one. */
export interface Alike {
  key: string
  label: string
  ids: string[]
}

const HEAP: Record<IntakeLine['heap'], string> = {
  ASKS_YOU: 'of “Asks you”',
  TO_READ: 'of “To read”',
  AUTOMATIC: 'of “Automatic”',
}

/** What the message has in common with others, the closest first. */
export function alike(lines: readonly IntakeLine[], line: IntakeLine): Alike[] {
  const of = (test: (other: IntakeLine) => boolean) => lines.filter(test).map((other) => other.id)
  const ways: Alike[] = []
  if (line.list) {
    ways.push({
      key: '1',
      label: `from the list ${line.party}`,
      ids: of((other) => other.party === line.party),
    })
  } else {
    ways.push({ key: '1', label: `from ${line.from}`, ids: of((o) => o.party === line.party) })
  }
  if (line.roomId) {
    const room = line.room ?? ''
    ways.push({
      key: '2',
      label: room ? `in ${room}` : 'in this room',
      ids: of((other) => other.roomId === line.roomId),
    })
  }
  ways.push({ key: '3', label: HEAP[line.heap], ids: of((other) => other.heap === line.heap) })
  return ways
}
