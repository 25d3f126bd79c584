import { describe, expect, it } from 'vitest'
import type { CandidateView } from '@/api/client'
import { lineOf, todayOf } from '@/testing/day'
import { moved, reason, standing } from '@/today/words'

function candidate(why: CandidateView['why'], more = {}): CandidateView {
  return {
    line: lineOf('a', more),
    why,
    day: '2026-03-03',
    meeting: 'Harbour meeting',
    who: 'Tilda',
    minutes: 15,
  }
}

describe('the words of the day', () => {
  it('say in one clause why something comes up', () => {
    expect(reason(candidate('LATE_FIRM'))).toMatch(/^firm, and late since Tue 3 Mar/)
    expect(reason(candidate('LATE'))).toMatch(/^late since Tue 3 Mar/)
    expect(reason(candidate('DUE_TODAY'))).toBe('due today')
    expect(reason(candidate('DUE_TODAY', { replyTime: '15:00:00' }))).toBe('due at 15:00')
    expect(reason(candidate('DUE_TODAY_FIRM'))).toBe('firm and due today')
    expect(reason(candidate('PROMISED'))).toMatch(/^promised to Tilda for Tue 3 Mar/)
    expect(reason(candidate('CHASE_DUE'))).toBe('Tilda is to be reminded')
    expect(reason(candidate('LEFT_OVER'))).toMatch(/^planned for Tue 3 Mar/)
    expect(reason(candidate('PUT_OFF_UNTIL_TODAY'))).toBe('put off until today')
    expect(reason(candidate('DUE_LATER', { firm: true }))).toMatch(/^due Tue 3 Mar.*, firm$/)
    expect(reason(candidate('PREPARES_MEETING'))).toBe('for “Harbour meeting” on Tue 3 Mar')
    expect(reason(candidate('UNDATED'))).toBe('without a date')
  })

  it('say how the day stands', () => {
    expect(standing(todayOf({ plannedMinutes: 250 }))).toBe('4 h free until 17:00, 4 h 10 planned')
    expect(standing(todayOf())).toContain('nothing planned yet')
    expect(standing(todayOf({ off: 'weekend' }))).toBe('No work is planned for today: weekend.')
  })

  it('say what a proposal moves', () => {
    const move = {
      followUpId: 'a',
      title: 'Order cleats',
      minutes: 15,
      from: '2026-03-04',
      to: '2026-03-05',
    }
    expect(moved([])).toBe('')
    expect(moved([move])).toMatch(/^moves “Order cleats” to Thu 5 Mar.*, nothing else$/)
    expect(moved([move, move])).toBe('moves 2, none past its reply-by date')
  })
})
