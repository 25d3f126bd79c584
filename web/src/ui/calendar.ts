const DAY_MS = 86_400_000

/** Calendar days are computed in UTC, where each has 24 hours. */
function utc(isoDay: string): Date {
  return new Date(`${isoDay}T00:00:00Z`)
}

function iso(date: Date): string {
  return date.toISOString().slice(0, 10)
}

/** The six weeks that show a month, Monday first. */
export function weeksOf(isoDay: string): string[][] {
  const first = utc(`${isoDay.slice(0, 7)}-01`)
  const start = first.getTime() - ((first.getUTCDay() + 6) % 7) * DAY_MS
  return Array.from({ length: 6 }, (_, week) =>
    Array.from({ length: 7 }, (_, weekday) => iso(new Date(start + (week * 7 + weekday) * DAY_MS))),
  )
}

/** The day a number of days away. */
export function shiftDay(isoDay: string, days: number): string {
  return iso(new Date(utc(isoDay).getTime() + days * DAY_MS))
}

/** The same day of another month, or that month's last one. */
export function shiftMonth(isoDay: string, months: number): string {
  const date = utc(isoDay)
  const year = date.getUTCFullYear()
  const month = date.getUTCMonth() + months
  const last = new Date(Date.UTC(year, month + 1, 0)).getUTCDate()
  return iso(new Date(Date.UTC(year, month, Math.min(date.getUTCDate(), last))))
}

/** The day that a key moves to in a calendar; undefined when the key means nothing there. */
export function dayByKey(isoDay: string, key: string): string | undefined {
  const steps: Record<string, number> = { ArrowLeft: -1, ArrowRight: 1, ArrowUp: -7, ArrowDown: 7 }
  const step = steps[key]
  if (step !== undefined) {
    return shiftDay(isoDay, step)
  }
  if (key === 'PageUp' || key === 'PageDown') {
    return shiftMonth(isoDay, key === 'PageUp' ? -1 : 1)
  }
  return undefined
}
