import { afterEach, describe, expect, it } from 'vitest'
import type { CalendarView } from '@/api/client'
import { accountCalendar, adoptCalendar, isDayOff, now } from '@/ui/accountCalendar'
import { moment, today, workingSpan } from '@/ui/time'

const usual = accountCalendar.value
afterEach(() => {
  accountCalendar.value = usual
})

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
    adoptCalendar(VIEW)
    expect(today()).toBe('2026-03-02')
    expect(Math.abs(now().getTime() - Date.parse(VIEW.now))).toBeLessThan(1000)
    expect(moment('2026-03-01T23:30:00Z')).toBe('Mon Mar 2, 00:30')
  })

  it('leaves the browser’s clock alone when it is right', () => {
    const at = Date.parse(VIEW.now)
    adoptCalendar(VIEW, at + 900)
    expect(accountCalendar.value.aheadMs).toBe(0)
  })

  it('knows days off and how long a day is', () => {
    adoptCalendar(VIEW)
    expect(isDayOff('2026-03-02')).toBe(true)
    expect(isDayOff('2026-03-03')).toBe(false)
    expect(isDayOff('2026-03-04')).toBe(true)
    expect(workingSpan(480)).toBe('2 d')
  })
})
