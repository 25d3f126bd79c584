import type { AheadEntry, DayAhead, FollowUpLine } from '@/api/client'

/** Something on a day, or on the shelf, where nothing but itself is known of it. */
export type Entry = Pick<AheadEntry, 'line'> & Partial<AheadEntry>

/** Everything in the order of the keyboard: day by day, then what has no day. */
export function ordered(
  columns: readonly { day: string; entries: readonly Entry[] }[],
  shelf: readonly Entry[],
): { line: FollowUpLine; day: string | undefined }[] {
  return [
    ...columns.flatMap(({ day, entries }) => entries.map(({ line }) => ({ line, day }))),
    ...shelf.map(({ line }) => ({ line, day: undefined })),
  ]
}

/** How many minutes a day's glass needs to be drawn with all that stands above its rim. */
export function needed(day: DayAhead): number {
  const above = day.entries.filter((entry) => !entry.fits)
  return day.freeMinutes + above.reduce((sum, entry) => sum + entry.minutes, 0) + 15 * above.length
}

/** A minute of the day as a clock shows it. */
export function clock(minute: number): string {
  return `${Math.floor(minute / 60)}:${String(minute % 60).padStart(2, '0')}`
}
