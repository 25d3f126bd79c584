import { describe, expect, it } from 'vitest'
import type { DayView } from '@/api/client'
import { dayNotice } from '@/ui/dayNotice'

const DAY: DayView = {
  day: '2026-03-06',
  time: null,
  off: '',
  due: 5,
  dueMinutes: 400,
  freeMinutes: 384,
  full: false,
  roomOn: null,
}

describe('what speaks against a day', () => {
  it('is nothing as long as there is room', () => {
    expect(dayNotice(DAY)).toBe('')
  })
  it('is that nobody works then', () => {
    expect(dayNotice({ ...DAY, off: 'Saturday' })).toBe('is a day off (Saturday)')
  })
  it('says which day has room instead', () => {
    expect(dayNotice({ ...DAY, full: true, roomOn: '2026-03-09' })).toMatch(
      /; Mon 9 Mar.* has room$/,
    )
  })
  it('is that what is due fills it', () => {
    expect(dayNotice({ ...DAY, full: true })).toBe('is full: 5 due, about 6.5 h in 6.5 h')
    expect(dayNotice({ ...DAY, full: true, dueMinutes: 30, freeMinutes: 20 })).toContain(
      '30 min in 20 min',
    )
  })
})
