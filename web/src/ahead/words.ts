import type { AheadData } from '@/api/client'
import { effortText } from '@/ui/effort'
import { day } from '@/ui/time'

/** Until when it fits, and from when on it does not. */
export interface Verdict {
  fits: string
  tooMuch: string
  because: string
}

/** The sentence above the days: everything that is due, against all free time up to then. */
export function verdict(ahead: AheadData): Verdict {
  if (ahead.shortFrom === null) {
    const full = ahead.days.filter((each) => each.overMinutes > 0)
    const [worst] = full.sort((one, other) => other.overMinutes - one.overMinutes)
    return worst
      ? {
          fits: `All that is due can be done in time, but ${day(worst.day)} holds`,
          tooMuch: `${effortText(worst.overMinutes)} too much`,
          because: full.length > 1 ? `, and ${others(full.length - 1)}` : '',
        }
      : { fits: 'Everything that is due fits.', tooMuch: '', because: '' }
  }
  const fits = ahead.fitsUntil
    ? `Everything that is due fits until ${day(ahead.fitsUntil)}; from ${day(ahead.shortFrom)} on it is`
    : 'What is due today is already'
  const short = ahead.days.find((each) => each.day === ahead.shortFrom)
  const meetings = (short?.meetings ?? [])
    .filter((meeting) => meeting.takesTime)
    .map((meeting) => meeting.title)
  const names =
    meetings.length > 2
      ? `${meetings.length} meetings`
      : meetings.map((title) => `“${title}”`).join(' and ')
  return {
    fits,
    tooMuch: `${effortText(ahead.shortMinutes)} too much`,
    because:
      short && meetings.length > 0
        ? `, because ${names} ${meetings.length === 1 ? 'leaves' : 'leave'} ${effortText(short.freeMinutes)} free that day`
        : '',
  }
}

function others(count: number): string {
  return count === 1 ? 'another day too' : `${count} other days too`
}

/** What a proposal cannot help. */
export function stuck(ahead: AheadData): string {
  const [first] = ahead.stuck
  if (!first) {
    return ''
  }
  const days = ahead.stuck.map((each) => `${effortText(each.minutes)} on ${day(each.day)}`)
  const words = days.length > 2 ? `${days.slice(0, 2).join(', ')} and more` : days.join(' and ')
  return `${ahead.moves.length > 0 ? 'Even then' : 'Without passing a reply-by date'} ${words} cannot be moved: ask for a later date, hand something over, or drop it.`
}
