import { describe, expect, it } from 'vitest'
import { entryOf, todayOf } from '@/testing/day'
import { clockOf } from '@/ui/clockTime'
import { gauge, minuteOf } from '@/today/gauge'

const meeting = {
  title: 'Surveyor',
  place: '',
  allDay: false,
  fromMinute: 660,
  toMinute: 720,
  tentative: false,
  takesTime: true,
}

describe('the day gauge', () => {
  it('measures meetings, free time and work by the same rule', () => {
    const drawn = gauge(
      todayOf({ meetings: [meeting], entries: [entryOf('a', { minutesLeft: 60 })] }),
      600,
      500,
    )
    const perMinute = (drawn?.meetings[0]?.height ?? 0) / 60
    expect(perMinute).toBeGreaterThan(0.9)
    expect((drawn?.bottom ?? 0) - (drawn?.rim ?? 0)).toBeCloseTo(300 * perMinute)
    expect((drawn?.bottom ?? 0) - (drawn?.layers[0]?.y ?? 0)).toBeCloseTo(60 * perMinute)
    expect(drawn?.kept).toBeCloseTo(60 * perMinute)
    expect(drawn?.hours.map((hour) => hour.label)[0]).toBe('9:00')
    expect(drawn?.now).toBeCloseTo((drawn?.top ?? 0) + 60 * perMinute)
  })

  it('pours in the order of the list, the first at the bottom', () => {
    const [first, second] =
      gauge(todayOf({ entries: [entryOf('a'), entryOf('b')] }), 600, 500)?.layers ?? []
    expect(first?.y).toBeGreaterThan(second?.y ?? Infinity)
  })

  it('puts what does not fit above the rim, and leaves room for it', () => {
    const drawn = gauge(
      todayOf({
        freeMinutes: 100,
        entries: [
          entryOf('a', { minutesLeft: 80 }),
          entryOf('b', { minutesLeft: 500, fits: false }),
          entryOf('c', { fits: false }),
        ],
      }),
      600,
      500,
    )
    expect(drawn?.layers).toHaveLength(1)
    for (const layer of drawn?.above ?? []) {
      expect(layer.y).toBeGreaterThanOrEqual(0)
      expect(layer.y + layer.height).toBeLessThan(drawn?.rim ?? 0)
    }
    expect(drawn?.above).toHaveLength(2)
  })

  it('reaches as far as meetings before and after work', () => {
    const early = { ...meeting, fromMinute: 420, toMinute: 480 }
    const drawn = gauge(todayOf({ meetings: [early, { ...meeting, allDay: true }] }), 300, 500)
    expect(drawn?.hours[0]?.label).toBe('7:00')
    expect(drawn?.now).toBeUndefined()
    expect(drawn?.allDay).toHaveLength(1)
    expect(minuteOf('07:30:00')).toBe(450)
  })

  it('puts meetings at the same time beside each other', () => {
    const other = { ...meeting, fromMinute: 690, toMinute: 750 }
    const after = { ...meeting, fromMinute: 720, toMinute: 730 }
    const drawn = gauge(todayOf({ meetings: [meeting, other, after] }), 600, 500)
    expect(drawn?.meetings.map((each) => each.lane)).toEqual([0, 1, 0])
  })

  it('puts what has a time of its own beside the ruler', () => {
    const drawn = gauge(todayOf({ entries: [entryOf('a', { at: '18:00:00' })] }), 600, 500)
    expect(drawn?.blocks[0]?.entry.line.id).toBe('a')
    expect((drawn?.blocks[0]?.y ?? 0) + (drawn?.blocks[0]?.height ?? 0)).toBeCloseTo(
      drawn?.bottom ?? 0,
    )
  })

  it('knows the minute at a height, and how long a block is', () => {
    const entry = entryOf('a', { at: '14:00', blockMinutes: 90, minutesLeft: 30 })
    const drawn = gauge(todayOf({ entries: [entry] }), 600, 600)
    const block = drawn?.blocks[0]
    expect(drawn?.minuteAt(block?.y ?? 0)).toBeCloseTo(14 * 60)
    expect(block?.height).toBeCloseTo(90 * (drawn?.scale ?? 0))
    expect(clockOf(14 * 60 + 5)).toBe('14:05')
  })

  it('is not drawn for a day off', () => {
    expect(gauge(todayOf({ from: null, to: null }), 600, 500)).toBeUndefined()
  })
})
