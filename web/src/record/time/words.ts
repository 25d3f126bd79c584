import type { ListForm, SpentLine, SpentView } from '@/api/client'
import { readTime } from '@/ui/clockTime'
import { day } from '@/ui/time'

/** Hours and minutes: "1:05". */
export function hours(minutes: number): string {
  return `${Math.floor(minutes / 60)}:${String(minutes % 60).padStart(2, '0')}`
}

/** What is told, with what was measured where that differs. */
export function spentText(line: { minutes: number; rounded: number }): string {
  return line.minutes === line.rounded
    ? hours(line.rounded)
    : `${hours(line.rounded)} (${hours(line.minutes)})`
}

/** An amount of money. */
export function amountText(amount: number | null, currency: string): string {
  return amount === null ? '' : `${amount.toFixed(2)} ${currency}`.trim()
}

/** A local time that came without a zone: "Tue 3 Mar, 17:00". */
export function localMoment(local: string): string {
  return `${day(local.slice(0, 10))}, ${local.slice(11, 16)}`
}

/** From when to when. */
export function timesText(line: SpentLine): string {
  return line.running
    ? `since ${line.from.slice(11, 16)}`
    : `${line.from.slice(11, 16)}–${line.to.slice(11, 16)}`
}

/**
 * A length as it is typed, in minutes: "45", "45 min", "1:30", "1h 30", "1.5 h", or until when, "–15:20", from a time.
 * Undefined where it is none.
 */
export function readLength(typed: string, from: string): number | undefined {
  const text = typed.trim().toLowerCase()
  const until = /^(?:-|–|to |until |till )\s*(.+)$/.exec(text)?.[1]
  if (until !== undefined) {
    const end = readTime(until)
    const begin = readTime(from)
    if (end === undefined || begin === undefined) {
      return undefined
    }
    const minutes = minuteOf(end) - minuteOf(begin)
    return minutes > 0 ? minutes : minutes + 24 * 60
  }
  const clock = /^(\d{1,2}):([0-5]\d)$/.exec(text)
  if (clock) {
    return within(Number(clock[1]) * 60 + Number(clock[2]))
  }
  const parts =
    /^(?:(\d+(?:[.,]\d+)?)\s*h(?:ours?|rs?)?)?\s*(?:(\d+)\s*(?:m|min|minutes?)?)?$/.exec(text)
  if (!parts || (parts[1] === undefined && parts[2] === undefined)) {
    return undefined
  }
  return within(
    Math.round(Number((parts[1] ?? '0').replace(',', '.')) * 60) + Number(parts[2] ?? '0'),
  )
}

const minuteOf = (time: string) => Number(time.slice(0, 2)) * 60 + Number(time.slice(3, 5))
const within = (minutes: number) => (minutes >= 1 && minutes <= 24 * 60 ? minutes : undefined)

/** The time as it is seen, for other people and programs. */
export function tableOf(view: SpentView): ListForm {
  return {
    title: `Time spent, ${day(view.from)} to ${day(view.to)}`,
    words: '',
    heading: ['Day', 'Time', 'What', 'For', 'Hours', 'Amount'],
    groups: view.groups.map((group) => ({
      title: group.title,
      rows: group.lines.map((line) => [
        day(line.day),
        timesText(line),
        line.title,
        line.person,
        spentText(line),
        amountText(line.amount, view.currency),
      ]),
    })),
  }
}
