import type { Band, DayEntry } from '@/api/client'

export const BANDS: readonly { band: Band; name: string }[] = [
  { band: 'NOW', name: 'Now' },
  { band: 'LATER', name: 'Later' },
  { band: 'IF_TIME', name: 'If there is time' },
]

/** The entries of each band, in their order. */
export type Bands = Record<Band, DayEntry[]>

export function banded(entries: readonly DayEntry[]): Bands {
  return {
    NOW: entries.filter((entry) => entry.band === 'NOW'),
    LATER: entries.filter((entry) => entry.band === 'LATER'),
    IF_TIME: entries.filter((entry) => entry.band === 'IF_TIME'),
  }
}

/** How a band stands after one of the day was moved a step; over its edge it goes into the band beside it. */
export function stepped(
  bands: Bands,
  id: string,
  by: -1 | 1,
): { band: Band; inOrder: string[] } | undefined {
  const at = BANDS.findIndex(({ band }) => bands[band].some((entry) => entry.line.id === id))
  const own = BANDS[at]
  if (!own) {
    return undefined
  }
  const ids = bands[own.band].map((entry) => entry.line.id)
  const place = ids.indexOf(id)
  const target = place + by
  if (target >= 0 && target < ids.length) {
    ids.splice(place, 1)
    ids.splice(target, 0, id)
    return { band: own.band, inOrder: ids }
  }
  const beside = BANDS[at + by]
  if (!beside) {
    return undefined
  }
  const others = bands[beside.band].map((entry) => entry.line.id)
  return { band: beside.band, inOrder: by < 0 ? [...others, id] : [id, ...others] }
}
