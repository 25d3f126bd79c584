import { describe, expect, it } from 'vitest'
import {
  day,
  moment,
  replyBy,
  shortMoment,
  toDate,
  toIsoDay,
  workingSpan,
  workingSpanInWords,
} from '@/ui/time'

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
  const now = new Date(2026, 2, 6, 12, 0)

  it('names the year only when it is another one', () => {
    expect(day('2026-03-06', now)).toBe('Fri 6 Mar')
    expect(day('2027-01-04', now)).toBe('Mon 4 Jan 2027')
  })

  it('shows the time today and the day before', () => {
    expect(shortMoment(new Date(2026, 2, 6, 9, 5).toISOString(), now)).toBe('09:05')
    expect(shortMoment(new Date(2026, 2, 5, 9, 5).toISOString(), now)).toBe('Thu 5 Mar')
    expect(moment(new Date(2026, 2, 5, 9, 5).toISOString(), now)).toBe('Thu 5 Mar, 09:05')
  })

  it('keeps a calendar day whatever the zone', () => {
    expect(toIsoDay(toDate('2026-03-29'))).toBe('2026-03-29')
    expect(replyBy(`${now.getFullYear()}-03-06`, '15:00:00')).toContain(', 15:00')
  })
})
