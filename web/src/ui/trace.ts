import type { Tick } from '@/api/client'
import { isDayOff } from '@/ui/accountCalendar'
import { isoDayOf, shiftDay } from '@/ui/time'

/** A tick on the line, in the coordinates of the drawing. */
export interface Mark {
  messageId: string
  sentAt: string
  x: number
  up: boolean
  hollow: boolean
  reminder: boolean
}

/** A day ahead that somebody named. */
export interface DayAhead {
  day: string
  kind: 'theirs' | 'mine' | 'chase'
  text: string
}

/** A trace ready to be drawn. */
export interface Drawing {
  marks: Mark[]
  /** Where the silence begins. */
  lastX: number
  nowX: number
  /** Stretches without work. */
  off: { x: number; width: number }[]
  ahead: (DayAhead & { x: number })[]
}

const NARROWEST = 5
const MARGIN = 4
const DAY_MS = 86_400_000
/** Over longer spans days would be too thin to be seen. */
const MOST_DAYS = 92
/** What lies farther ahead stands at the edge. */
const FARTHEST_AHEAD_MS = 30 * DAY_MS

/**
 * Places ticks by time on a line, with the days ahead that somebody named behind the moment of now. Ticks that would
 * touch are pushed apart to the left of what follows, so that every message stays visible.
 */
export function drawTrace(
  ticks: readonly Tick[],
  nowIso: string,
  width: number,
  days: readonly DayAhead[] = [],
): Drawing {
  if (ticks.length === 0) {
    return { marks: [], lastX: 0, nowX: width - MARGIN, off: [], ahead: [] }
  }
  const now = Date.parse(nowIso)
  const first = Date.parse(ticks[0]?.sentAt ?? nowIso)
  const noonOf = (day: string) => Date.parse(`${day}T12:00:00Z`)
  const coming = days.filter((each) => noonOf(each.day) > now - DAY_MS)
  const last = coming.reduce(
    (end, each) => Math.max(end, Math.min(noonOf(each.day) + DAY_MS / 2, now + FARTHEST_AHEAD_MS)),
    now,
  )
  const span = Math.max(last - first, 1)
  const usable = width - 2 * MARGIN
  const at = (moment: number) => MARGIN + Math.min(Math.max((moment - first) / span, 0), 1) * usable
  const nowX = at(now)
  const xs = ticks.map((tick) => at(Date.parse(tick.sentAt)))
  const gap = Math.min(NARROWEST, (nowX - MARGIN) / ticks.length)
  for (let i = 1; i < xs.length; i++) {
    xs[i] = Math.max(xs[i] ?? 0, (xs[i - 1] ?? 0) + gap)
  }
  for (let i = xs.length - 1; i >= 0; i--) {
    const limit = i === xs.length - 1 ? nowX : (xs[i + 1] ?? width) - gap
    xs[i] = Math.min(xs[i] ?? 0, limit)
  }
  return {
    marks: ticks.map((tick, i) => ({
      messageId: tick.messageId,
      sentAt: tick.sentAt,
      x: xs[i] ?? 0,
      up: tick.direction === 'INCOMING',
      hollow: tick.automatic,
      reminder: tick.reminder,
    })),
    lastX: xs.at(-1) ?? 0,
    nowX,
    off: stretchesOff(first, last, at),
    ahead: coming.map((each) => ({ ...each, x: at(Math.max(noonOf(each.day), now)) })),
  }
}

/** Days without work, those in a row as one. */
function stretchesOff(
  first: number,
  last: number,
  at: (moment: number) => number,
): { x: number; width: number }[] {
  if (last - first > MOST_DAYS * DAY_MS) {
    return []
  }
  const off: { x: number; width: number }[] = []
  let day = isoDayOf(new Date(first))
  let begin: number | undefined
  for (let moment = Date.parse(`${day}T00:00:00Z`); moment <= last + DAY_MS; moment += DAY_MS) {
    const isOff = isDayOff(day) && moment <= last
    if (isOff && begin === undefined) {
      begin = moment
    } else if (!isOff && begin !== undefined) {
      const x = at(begin)
      off.push({ x, width: at(moment) - x })
      begin = undefined
    }
    day = shiftDay(day, 1)
  }
  return off.filter((stretch) => stretch.width >= 1)
}

/** The tick nearest to a place, where one is near. */
export function nearest(marks: readonly Mark[], x: number, reach = 8): Mark | undefined {
  let found: Mark | undefined
  for (const mark of marks) {
    if (Math.abs(mark.x - x) <= (found ? Math.abs(found.x - x) : reach)) {
      found = mark
    }
  }
  return found
}
