import type { DayAround } from '@/api/client'

/** Something on the strip of a day, in percent of its width. */
export interface Block {
  left: number
  width: number
  title: string
  takesTime: boolean
}

export interface Strip {
  hours: { left: number; text: string }[]
  others: Block[]
  asked: { left: number; width: number }
  /** The working time. */
  work: { left: number; width: number }
}

const HOUR = 60

/** The hours of a day in which anything is on, with what is on and what is asked for. */
export function strip(day: DayAround): Strip {
  const timed = day.meetings.filter((meeting) => !meeting.allDay)
  const working = day.workTo > day.workFrom
  const starts = [day.fromMinute, ...timed.map((each) => each.fromMinute)]
  const ends = [day.toMinute, ...timed.map((each) => each.toMinute)]
  const from = Math.floor(Math.min(...starts, ...(working ? [day.workFrom] : [])) / HOUR) * HOUR
  const to = Math.max(
    Math.ceil(Math.max(...ends, ...(working ? [day.workTo] : [])) / HOUR) * HOUR,
    from + HOUR,
  )
  const at = (minute: number) => ((minute - from) / (to - from)) * 100
  const part = (start: number, end: number) => ({ left: at(start), width: at(end) - at(start) })
  const step = to - from > 12 * HOUR ? 2 * HOUR : HOUR
  const hours = []
  for (let minute = from; minute < to; minute += step) {
    hours.push({ left: at(minute), text: String(minute / HOUR) })
  }
  return {
    hours,
    others: timed.map((each) => ({
      ...part(each.fromMinute, each.toMinute),
      title: each.title,
      takesTime: each.takesTime,
    })),
    asked: part(day.fromMinute, Math.max(day.toMinute, day.fromMinute)),
    work: working ? part(day.workFrom, day.workTo) : { left: 0, width: 0 },
  }
}
