const MINUTES_A_WORKING_DAY = 480

/** A working-time span in one unit: "40 min", "3 h", "2 d". */
export function workingSpan(minutes: number): string {
  if (minutes < 1) {
    return 'new'
  }
  if (minutes < 60) {
    return `${minutes} min`
  }
  if (minutes < MINUTES_A_WORKING_DAY) {
    return `${Math.floor(minutes / 60)} h`
  }
  return `${Math.floor(minutes / MINUTES_A_WORKING_DAY)} d`
}

/** A span in words, for readers of the screen. */
export function workingSpanInWords(minutes: number): string {
  if (minutes < 1) {
    return 'no working time'
  }
  const [count, unit] = workingSpan(minutes).split(' ')
  const word = unit === 'min' ? 'minute' : unit === 'h' ? 'hour' : 'day'
  return `${count ?? ''} working ${word}${count === '1' ? '' : 's'}`
}

/** A moment in the page's own zone: "Tue 3 Mar, 14:05", with the year when it is another one. */
export function moment(iso: string, now: Date = new Date()): string {
  const date = new Date(iso)
  const day = calendarDay(date, date.getFullYear() !== now.getFullYear())
  return `${day}, ${clock(date)}`
}

/** Only what is needed: the time today, the day before that. */
export function shortMoment(iso: string, now: Date = new Date()): string {
  const date = new Date(iso)
  return date.toDateString() === now.toDateString()
    ? clock(date)
    : calendarDay(date, date.getFullYear() !== now.getFullYear())
}

function clock(date: Date): string {
  return `${String(date.getHours()).padStart(2, '0')}:${String(date.getMinutes()).padStart(2, '0')}`
}

const DAYS = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat']
const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec']

function calendarDay(date: Date, withYear: boolean): string {
  const text = `${DAYS[date.getDay()] ?? ''} ${date.getDate()} ${MONTHS[date.getMonth()] ?? ''}`
  return withYear ? `${text} ${date.getFullYear()}` : text
}

/** A calendar day ("2026-03-06") as "Fri 6 Mar". */
export function day(isoDay: string, now: Date = new Date()): string {
  const date = toDate(isoDay)
  return calendarDay(date, date.getFullYear() !== now.getFullYear())
}

/** A reply-by date with its time, where it has one. */
export function replyBy(isoDay: string, time: string | null): string {
  return time ? `${day(isoDay)}, ${time.slice(0, 5)}` : day(isoDay)
}

/** The same where there is little room: the time today, the weekday this week, the date after that. */
export function replyByShort(isoDay: string, time: string | null, now: Date = new Date()): string {
  const date = toDate(isoDay)
  const today = toDate(toIsoDay(now))
  const days = Math.round((date.getTime() - today.getTime()) / 86_400_000)
  if (days === 0) {
    return time ? time.slice(0, 5) : 'today'
  }
  return days > 0 && days < 7
    ? (DAYS[date.getDay()] ?? '')
    : `${date.getDate()} ${MONTHS[date.getMonth()] ?? ''}`
}

/** Local midnight of a calendar day. */
export function toDate(isoDay: string): Date {
  const [year, month, date] = isoDay.split('-').map(Number)
  return new Date(year ?? 1970, (month ?? 1) - 1, date ?? 1)
}

/** The calendar day of a local date. */
export function toIsoDay(date: Date): string {
  return [
    String(date.getFullYear()),
    String(date.getMonth() + 1).padStart(2, '0'),
    String(date.getDate()).padStart(2, '0'),
  ].join('-')
}
