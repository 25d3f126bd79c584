import type { DayEntry, MeetingView, TodayData } from '@/api/client'

/** What the gauge draws, in pixels from its top. */
export interface Gauge {
  /** The ruler's first and last point. */
  top: number
  bottom: number
  hours: { y: number; label: string }[]
  /** With how many others stand beside it to its left. */
  meetings: { y: number; height: number; lane: number; meeting: MeetingView }[]
  allDay: MeetingView[]
  /** Where the day has come to; left out before and after its hours. */
  now: number | undefined
  /** The rim of the glass: its free time begins there. */
  rim: number
  /** How much below the rim is kept for the unforeseen. */
  kept: number
  layers: Layer[]
  above: Layer[]
  /** What has a time of its own, beside the ruler. */
  blocks: Layer[]
  /** The minute of the day at a height. */
  minuteAt: (y: number) => number
  /** How many pixels a minute is high. */
  scale: number
}

interface Layer {
  y: number
  height: number
  entry: DayEntry
}

/** Nothing is drawn thinner. */
const THINNEST = 4
const GAP = 2
/** What does not fit stands so far above the rim. */
const ABOVE = 6

export function minuteOf(time: string): number {
  const [hours = '0', minutes = '0'] = time.split(':')
  return Number(hours) * 60 + Number(minutes)
}

/** How long a follow-up with a time of its own takes of it, in minutes. */
export function lengthOf(entry: DayEntry): number {
  return entry.blockMinutes ?? entry.minutesLeft
}

/** Meetings at the same time stand beside each other; they come in the order in which they begin. */
function inLanes(meetings: readonly MeetingView[]): { meeting: MeetingView; lane: number }[] {
  const ends: number[] = []
  return meetings.map((meeting) => {
    const free = ends.findIndex((end) => end <= meeting.fromMinute)
    const lane = free < 0 ? ends.length : free
    ends[lane] = meeting.toMinute
    return { meeting, lane }
  })
}

/**
 * The day as a ruler of its hours beside a glass of its free time, both in the same measure: a meeting is as high as it
 * takes time, and so is what is planned.
 */
export function gauge(today: TodayData, nowMinute: number, height: number): Gauge | undefined {
  if (!today.from || !today.to) {
    return undefined
  }
  const timed = today.meetings.filter((meeting) => !meeting.allDay)
  const blocks = today.entries.flatMap((entry) =>
    entry.at === null ? [] : [{ entry, from: minuteOf(entry.at) }],
  )
  const from = Math.min(
    minuteOf(today.from),
    ...timed.map((meeting) => meeting.fromMinute),
    ...blocks.map((block) => block.from),
  )
  const to = Math.max(
    minuteOf(today.to),
    ...timed.map((meeting) => meeting.toMinute),
    ...blocks.map((block) => Math.min(1440, block.from + lengthOf(block.entry))),
  )
  const above = today.entries.filter((entry) => !entry.fits)
  const aboveMinutes = above.reduce((sum, entry) => sum + entry.minutesLeft, 0)
  const needed = Math.max(to - from, today.freeMinutes + aboveMinutes)
  const scale = (height - (above.length + 2) * ABOVE) / needed
  const bottom = height - ABOVE
  const yOf = (minute: number) => bottom - (to - minute) * scale
  const rim = bottom - today.freeMinutes * scale
  let floor = bottom
  const layers = today.entries
    .filter((entry) => entry.fits)
    .map((entry) => {
      const thick = Math.max(THINNEST, entry.minutesLeft * scale)
      floor -= thick
      return { y: floor, height: thick - GAP, entry }
    })
  let level = rim - ABOVE
  const over = above.map((entry) => {
    const thick = Math.max(THINNEST, entry.minutesLeft * scale)
    level -= thick
    const layer = { y: level, height: thick - GAP, entry }
    level -= ABOVE
    return layer
  })
  const hours = []
  for (let hour = Math.ceil(from / 60); hour <= Math.floor(to / 60); hour++) {
    hours.push({ y: yOf(hour * 60), label: `${hour}:00` })
  }
  return {
    top: yOf(from),
    bottom,
    hours,
    meetings: inLanes(timed).map(({ meeting, lane }) => ({
      y: yOf(meeting.fromMinute),
      height: Math.max(THINNEST, (meeting.toMinute - meeting.fromMinute) * scale),
      lane,
      meeting,
    })),
    allDay: today.meetings.filter((meeting) => meeting.allDay),
    now: nowMinute >= from && nowMinute <= to ? yOf(nowMinute) : undefined,
    rim,
    kept: (today.freeMinutes - today.roomMinutes) * scale,
    layers,
    above: over,
    blocks: blocks.map((block) => ({
      y: yOf(block.from),
      height: Math.max(THINNEST, lengthOf(block.entry) * scale),
      entry: block.entry,
    })),
    minuteAt: (y) => to - (bottom - y) / scale,
    scale,
  }
}
