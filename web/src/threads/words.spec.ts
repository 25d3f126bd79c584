import { describe, expect, it } from 'vitest'
import type { AwaitedView, DebtView, ThreadLine } from '@/api/client'
import { awaitedText, byText, debtText, turnText } from '@/threads/words'

const debt = { reason: 'ASKED', what: 'send the plan?', byDay: '2026-03-06', byTime: null }

describe('what is owed, in words', () => {
  it('is the ask, the promise, or what has to be done', () => {
    expect(debtText(debt as DebtView)).toBe('“send the plan?”')
    expect(debtText({ ...debt, reason: 'PROMISED' } as DebtView)).toBe(
      'you promised: “send the plan?”',
    )
    expect(debtText({ ...debt, reason: 'INVITED', what: '' } as DebtView)).toBe(
      'say whether you come',
    )
    expect(debtText({ ...debt, reason: 'BOUNCED', what: '' } as DebtView)).toContain(
      'not delivered',
    )
  })

  it('has a day only where one was said', () => {
    expect(byText({ byDay: null, byTime: null, late: false })).toBe('')
    expect(byText({ byDay: '2026-03-06', byTime: '15:00', late: false })).toMatch(
      /^by .*6 Mar.*15:00$/,
    )
    expect(byText({ byDay: '2026-03-06', byTime: null, late: true })).toMatch(/^late: .*6 Mar/)
    const one = { what: 'the plans', promised: true, byDay: '2026-03-06', byTime: null }
    expect(awaitedText({ ...one, late: true } as AwaitedView)).toMatch(/^late: promised by/)
    expect(awaitedText(one as AwaitedView)).toMatch(/^promised by .*6 Mar.* “the plans”$/)
  })

  it('names those who are awaited and how a thread was closed', () => {
    const line = { turn: 'WITH_OTHERS', awaited: [{ name: 'Tilda' }, { name: 'Bo' }] }
    expect(turnText(line as ThreadLine)).toBe('With Tilda, Bo')
    expect(turnText({ turn: 'CLOSED', closedAs: 'GIVEN_UP' } as ThreadLine)).toBe(
      'Closed as given up',
    )
    expect(turnText({ turn: 'CLOSED', closedAs: null } as ThreadLine)).toBe('Closed')
    expect(turnText({ turn: 'NOBODY' } as ThreadLine)).toBe('Nobody’s turn')
    expect(turnText({ turn: 'WITH_ME' } as ThreadLine)).toBe('With me')
  })
})
