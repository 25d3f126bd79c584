import { describe, expect, it } from 'vitest'
import type { Tick } from '@/api/client'
import { drawTrace } from '@/ui/trace'

function tick(minute: number, direction: Tick['direction'] = 'INCOMING'): Tick {
  return {
    messageId: String(minute),
    sentAt: new Date(Date.UTC(2026, 2, 2, 9, minute)).toISOString(),
    direction,
    automatic: false,
  }
}

const now = new Date(Date.UTC(2026, 2, 2, 10, 40)).toISOString()

describe('a trace', () => {
  it('places ticks by time and ends in the silence', () => {
    const { marks, lastX } = drawTrace([tick(0), tick(50, 'OUTGOING')], now, 208)
    expect(marks.map((mark) => [Math.round(mark.x), mark.up])).toEqual([
      [4, true],
      [104, false],
    ])
    expect(lastX).toBeCloseTo(104)
  })

  it('keeps ticks apart and inside', () => {
    const many = Array.from({ length: 30 }, (_, i) => tick(i / 100))
    const xs = drawTrace(many, now, 120).marks.map((mark) => mark.x)
    expect(Math.min(...xs)).toBeGreaterThanOrEqual(0)
    expect(Math.max(...xs)).toBeLessThanOrEqual(116)
    expect(xs.every((x, i) => i === 0 || x > (xs[i - 1] ?? 0))).toBe(true)
  })

  it('is empty without messages', () => {
    expect(drawTrace([], now, 100).marks).toEqual([])
  })
})
