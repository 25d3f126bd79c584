import type { WorkingTimeForm } from '@/api/client'

export type DayHours = WorkingTimeForm['week'][number]
export const WEEKDAYS: { day: DayHours['day']; name: string }[] = [
  { day: 'MONDAY', name: 'Monday' },
  { day: 'TUESDAY', name: 'Tuesday' },
  { day: 'WEDNESDAY', name: 'Wednesday' },
  { day: 'THURSDAY', name: 'Thursday' },
  { day: 'FRIDAY', name: 'Friday' },
  { day: 'SATURDAY', name: 'Saturday' },
  { day: 'SUNDAY', name: 'Sunday' },
]

/** The week with a day switched on, with the hours of another working day, or off. */
export function toggled(week: readonly DayHours[], day: DayHours['day']): DayHours[] {
  const rest = week.filter((each) => each.day !== day)
  if (rest.length < week.length) {
    return rest
  }
  const like = week[0] ?? { from: '09:00', to: '17:00' }
  const order = WEEKDAYS.map((each) => each.day)
  return [...rest, { day, from: like.from, to: like.to }].sort(
    (a, b) => order.indexOf(a.day) - order.indexOf(b.day),
  )
}

/** Names as a line of text, and back. */
export function names(text: string): string[] {
  return text
    .split(',')
    .map((name) => name.trim())
    .filter(Boolean)
}
