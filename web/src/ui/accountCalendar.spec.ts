import { describe, expect, it } from 'vitest'
import type { CalendarView } from '@/api/client'
import { isDayOff, now, useAccountCalendar } from '@/ui/accountCalendar'
import { moment, today, workingSpan } from '@/ui/time'

const VIEW: CalendarView = {
  now: '2026-03-01T23:30:00Z',
  zone: 'Europe/Berlin',
  monthFirst: true,
  workingDays: ['MONDAY', 'TUESDAY'],
  minutesOfADay: 240,
  off: [{ day: '2026-03-02', reason: 'day off' }],
}

describe("the account's calendar", () => {
  it('counts days in its own zone and by the application’s clock', () => {
    useAccountCalendar().adopt(VIEW)
    expect(today()).toBe('2026-03-02')
    expect(Math.abs(now().getTime() - Date.parse(VIEW.now))).toBeLessThan(1000)
    expect(moment('2026-03-01T23:30:00Z')).toBe('Mon Mar 2, 00:30')
  })

  it('leaves the browser’s clock alone when it is right', () => {
    const at = Date.parse(VIEW.now)
    useAccountCalendar().adopt(VIEW, at + 900)
    expect(useAccountCalendar().aheadMs).toBe(0)
  })

  it('knows days off and how long a day is', () => {
    useAccountCalendar().adopt(VIEW)
    expect(isDayOff('2026-03-02')).toBe(true)
    expect(isDayOff('2026-03-03')).toBe(false)
    expect(isDayOff('2026-03-04')).toBe(true)
    expect(workingSpan(480)).toBe('2 d')
  })
})
