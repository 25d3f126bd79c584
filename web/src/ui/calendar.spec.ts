import { describe, expect, it } from 'vitest'
import { dayByKey, shiftDay, shiftMonth, weeksOf } from '@/ui/calendar'

describe('a calendar', () => {
  it('shows whole weeks from Monday', () => {
    const weeks = weeksOf('2026-03-15')
    expect(weeks[0]?.[0]).toBe('2026-02-23')
    expect(weeks[0]?.[6]).toBe('2026-03-01')
    expect(weeks.flat()).toHaveLength(42)
  })

  it('moves by days across months and clock changes', () => {
    expect(shiftDay('2026-03-28', 1)).toBe('2026-03-29')
    expect(shiftDay('2026-03-29', 1)).toBe('2026-03-30')
    expect(shiftMonth('2026-01-31', 1)).toBe('2026-02-28')
    expect(dayByKey('2026-03-05', 'ArrowUp')).toBe('2026-02-26')
    expect(dayByKey('2026-03-05', 'PageDown')).toBe('2026-04-05')
    expect(dayByKey('2026-03-05', 'x')).toBeUndefined()
  })
})
