import { describe, expect, it } from 'vitest'
import type { Tick } from '@/api/client'
import { drawTrace, nearest } from '@/ui/trace'

function tick(minute: number, direction: Tick['direction'] = 'INCOMING'): Tick {
  return {
    messageId: String(minute),
    sentAt: new Date(Date.UTC(2026, 2, 2, 9, minute)).toISOString(),
    direction,
    automatic: false,
    reminder: false,
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

  it('shades days without work, and shows days ahead behind now', () => {
    const friday = { ...tick(0), sentAt: '2026-02-27T09:00:00Z' }
    const drawing = drawTrace([friday], '2026-03-02T09:00:00Z', 408, [
      { day: '2026-03-04', kind: 'theirs', text: 'promised' },
      { day: '2026-02-20', kind: 'mine', text: 'long past' },
    ])
    expect(drawing.off).toHaveLength(1)
    expect(drawing.off[0]?.width ?? 0).toBeGreaterThan(80)
    expect(drawing.ahead.map((each) => each.text)).toEqual(['promised'])
    expect(drawing.ahead[0]?.x ?? 0).toBeGreaterThan(drawing.nowX)
    expect(drawing.nowX).toBeLessThan(300)
  })

  it('shades nothing over spans in which days are too thin', () => {
    const old = { ...tick(0), sentAt: '2025-03-02T09:00:00Z' }
    expect(drawTrace([old], '2026-03-02T09:00:00Z', 208).off).toEqual([])
  })

  it('finds the tick that is pointed at', () => {
    const { marks } = drawTrace([tick(0), tick(50, 'OUTGOING')], now, 208)
    expect(nearest(marks, 6)?.messageId).toBe('0')
    expect(nearest(marks, 101)?.messageId).toBe('50')
    expect(nearest(marks, 60)).toBeUndefined()
  })
})
