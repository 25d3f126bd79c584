import type { Tick } from '@/api/client'

/** A tick on the line, in the coordinates of the drawing. */
export interface Mark {
  x: number
  up: boolean
  hollow: boolean
}

/** A trace ready to be drawn. */
export interface Drawing {
  marks: Mark[]
  /** Where the silence begins. */
  lastX: number
}

const NARROWEST = 5

/**
 * Places ticks by time on a line that ends now. Ticks that would touch are pushed apart to the left of what follows,
 * so that every message stays visible.
 */
export function drawTrace(ticks: readonly Tick[], nowIso: string, width: number): Drawing {
  if (ticks.length === 0) {
    return { marks: [], lastX: 0 }
  }
  const now = Date.parse(nowIso)
  const first = Date.parse(ticks[0]?.sentAt ?? nowIso)
  const span = Math.max(now - first, 1)
  const margin = 4
  const usable = width - 2 * margin
  const xs = ticks.map((tick) => margin + ((Date.parse(tick.sentAt) - first) / span) * usable)
  const gap = Math.min(NARROWEST, usable / ticks.length)
  for (let i = 1; i < xs.length; i++) {
    xs[i] = Math.max(xs[i] ?? 0, (xs[i - 1] ?? 0) + gap)
  }
  for (let i = xs.length - 1; i >= 0; i--) {
    const limit = i === xs.length - 1 ? width - margin : (xs[i + 1] ?? width) - gap
    xs[i] = Math.min(xs[i] ?? 0, limit)
  }
  return {
    marks: ticks.map((tick, i) => ({
      x: xs[i] ?? 0,
      up: tick.direction === 'INCOMING',
      hollow: tick.automatic,
    })),
    lastX: xs.at(-1) ?? 0,
  }
}
