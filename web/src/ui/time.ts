import { parseDate } from '@internationalized/date'
import { now, useAccountCalendar } from '@/ui/accountCalendar'

/** The language that dates are written in. */
export const LOCALE = 'en-GB'

/** A working-time span in one unit: "40 min", "3 h", "2 d", with days as long as the account's are. */
export function workingSpan(minutes: number): string {
  if (minutes < 1) {
    return 'new'
  }
  if (minutes < 60) {
    return `${minutes} min`
  }
  const { minutesOfADay } = useAccountCalendar()
  return minutes < minutesOfADay
    ? `${Math.floor(minutes / 60)} h`
    : `${Math.floor(minutes / minutesOfADay)} d`
}

/** A span in words, for readers of the screen. */
export function workingSpanInWords(minutes: number): string {
  if (minutes < 1) {
    return 'less than a working minute'
  }
  const [count, unit] = workingSpan(minutes).split(' ')
  const word = unit === 'min' ? 'minute' : unit === 'h' ? 'hour' : 'day'
  return `${count ?? ''} working ${word}${count === '1' ? '' : 's'}`
}

type Parts = Partial<Record<Intl.DateTimeFormatPartTypes, string>>

/** By zone: making one costs as much as writing fifty dates, and lists write two a line with each key. */
const formats = new Map<string, Intl.DateTimeFormat>()
const isoFormats = new Map<string, Intl.DateTimeFormat>()

function parts(date: Date, zone: string): Parts {
  let format = formats.get(zone)
  if (!format) {
    format = new Intl.DateTimeFormat(LOCALE, {
      timeZone: zone,
      weekday: 'short',
      day: 'numeric',
      month: 'short',
      year: 'numeric',
      hour: '2-digit',
      minute: '2-digit',
      hourCycle: 'h23',
    })
    formats.set(zone, format)
  }
  const found: Parts = {}
  for (const part of format.formatToParts(date)) {
    found[part.type] = part.value
  }
  // Four letters in this one month only; three everywhere keep columns straight.
  found.month = found.month?.slice(0, 3) ?? ''
  return found
}

function dayText(found: Parts, withYear: boolean): string {
  const { weekday = '', day: date = '', month = '', year = '' } = found
  const text = useAccountCalendar().monthFirst
    ? `${weekday} ${month} ${date}`
    : `${weekday} ${date} ${month}`
  return withYear ? `${text} ${year}` : text
}

function dateText(found: Parts): string {
  const { day: date = '', month = '' } = found
  return useAccountCalendar().monthFirst ? `${month} ${date}` : `${date} ${month}`
}

function here(date: Date): Parts {
  return parts(date, useAccountCalendar().zone)
}

/** A calendar day has no zone: it is read as its midnight in UTC and written in UTC. */
function midnight(isoDay: string): Date {
  return new Date(`${isoDay}T00:00:00Z`)
}

/** A moment in the account's zone: "Tue 3 Mar, 14:05", with the year when it is another one. */
export function moment(iso: string, at: Date = now()): string {
  const found = here(new Date(iso))
  return `${dayText(found, found.year !== here(at).year)}, ${clock(found)}`
}

/** Only what is needed: the time today, the day before that. */
export function shortMoment(iso: string, at: Date = now()): string {
  const date = new Date(iso)
  const found = here(date)
  return isoDayOf(date) === isoDayOf(at)
    ? clock(found)
    : dayText(found, found.year !== here(at).year)
}

function clock(found: Parts): string {
  return `${found.hour ?? ''}:${found.minute ?? ''}`
}

/** A calendar day ("2026-03-06") as "Fri 6 Mar", or "Fri Mar 6" where the account writes the month first. */
export function day(isoDay: string, at: Date = now()): string {
  const found = parts(midnight(isoDay), 'UTC')
  return dayText(found, found.year !== here(at).year)
}

/** A reply-by date with its time, where it has one. */
export function replyBy(isoDay: string, time: string | null): string {
  return time ? `${day(isoDay)}, ${time.slice(0, 5)}` : day(isoDay)
}

/** The same where there is little room: the time today, the weekday this week, the date after that. */
export function replyByShort(isoDay: string, time: string | null, at: Date = now()): string {
  const days = Math.round(
    (midnight(isoDay).getTime() - midnight(isoDayOf(at)).getTime()) / 86_400_000,
  )
  if (days === 0) {
    return time ? time.slice(0, 5) : 'today'
  }
  const found = parts(midnight(isoDay), 'UTC')
  return days > 0 && days < 7 ? (found.weekday ?? '') : dateText(found)
}

/** The calendar day of a moment in the account's zone. */
export function isoDayOf(date: Date): string {
  const { zone } = useAccountCalendar()
  let format = isoFormats.get(zone)
  if (!format) {
    // This locale writes dates as ISO 8601 does.
    format = new Intl.DateTimeFormat('sv-SE', { timeZone: zone })
    isoFormats.set(zone, format)
  }
  return format.format(date)
}

/** Today, by the account's calendar and the application's clock. */
export function today(): string {
  return isoDayOf(now())
}

/** The day a number of days away. */
export function shiftDay(isoDay: string, days: number): string {
  return parseDate(isoDay).add({ days }).toString()
}
