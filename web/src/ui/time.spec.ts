import { beforeEach, describe, expect, it } from 'vitest'
import { useAccountCalendar } from '@/ui/accountCalendar'
import {
  day,
  isoDayOf,
  moment,
  replyBy,
  replyByShort,
  shortMoment,
  workingSpan,
  workingSpanInWords,
} from '@/ui/time'

beforeEach(() => {
  useAccountCalendar().zone = 'Europe/London'
})

describe('spans', () => {
  it.each([
    [0, 'new'],
    [40, '40 min'],
    [119, '1 h'],
    [479, '7 h'],
    [480, '1 d'],
    [1300, '2 d'],
  ])('%i working minutes are %s', (minutes, text) => {
    expect(workingSpan(minutes)).toBe(text)
  })

  it('is said in words', () => {
    expect(workingSpanInWords(60)).toBe('1 working hour')
    expect(workingSpanInWords(1000)).toBe('2 working days')
  })
})

describe('days', () => {
  const at = new Date('2026-03-06T12:00:00Z')

  it('names the year only when it is another one', () => {
    expect(day('2026-03-06', at)).toBe('Fri 6 Mar')
    expect(day('2027-01-04', at)).toBe('Mon 4 Jan 2027')
    expect(day('2026-09-01', at)).toBe('Tue 1 Sep')
  })

  it('shows the time today and the day before', () => {
    expect(shortMoment('2026-03-06T09:05:00Z', at)).toBe('09:05')
    expect(shortMoment('2026-03-05T09:05:00Z', at)).toBe('Thu 5 Mar')
    expect(moment('2026-03-05T09:05:00Z', at)).toBe('Thu 5 Mar, 09:05')
    expect(moment('2026-07-05T23:05:00Z', at)).toBe('Mon 6 Jul, 00:05')
  })

  it('is short where there is little room', () => {
    expect(replyByShort('2026-03-06', '15:00:00', at)).toBe('15:00')
    expect(replyByShort('2026-03-08', null, at)).toBe('Sun')
    expect(replyByShort('2026-03-05', null, at)).toBe('5 Mar')
    expect(replyBy(`${new Date().getFullYear()}-03-06`, '15:00:00')).toContain(', 15:00')
  })

  it('knows the day of a moment on the day of a clock change', () => {
    expect(isoDayOf(new Date('2026-03-29T00:59:00Z'))).toBe('2026-03-29')
    expect(isoDayOf(new Date('2026-03-28T23:59:00Z'))).toBe('2026-03-28')
    expect(isoDayOf(new Date('2026-10-25T23:30:00Z'))).toBe('2026-10-25')
  })
})
