import type { IntakeLine } from '@/api/client'

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
