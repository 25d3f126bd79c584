import { toDate, toIsoDay } from '@/ui/time'

/** The six weeks that show a month, Monday first. */
export function weeksOf(isoDay: string): string[][] {
  const date = toDate(isoDay)
  const first = new Date(date.getFullYear(), date.getMonth(), 1)
  const offset = (first.getDay() + 6) % 7
  return Array.from({ length: 6 }, (_, week) =>
    Array.from({ length: 7 }, (_, weekday) =>
      toIsoDay(new Date(first.getFullYear(), first.getMonth(), 1 - offset + week * 7 + weekday)),
    ),
  )
}

/** The day a number of days away. */
export function shiftDay(isoDay: string, days: number): string {
  const date = toDate(isoDay)
  return toIsoDay(new Date(date.getFullYear(), date.getMonth(), date.getDate() + days))
}

/** The same day of another month, or that month's last one. */
export function shiftMonth(isoDay: string, months: number): string {
  const date = toDate(isoDay)
  const last = new Date(date.getFullYear(), date.getMonth() + months + 1, 0).getDate()
  return toIsoDay(
    new Date(date.getFullYear(), date.getMonth() + months, Math.min(date.getDate(), last)),
  )
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
