import { describe, expect, it } from 'vitest'
import type { AwaitedView, DebtView, ThreadLine } from '@/api/client'
import {
  awaitedText,
  besides,
  byText,
  chaseText,
  firstChase,
  debtText,
  turnText,
  usually,
} from '@/threads/words'

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

  it('says when somebody is to be chased, and why then', () => {
    const one = { chaseOn: '2026-03-06', why: 'USUAL' } as const
    expect(chaseText(one, '2026-03-05')).toMatchObject({
      due: false,
      why: 'takes longer as a rule',
    })
    expect(chaseText(one, '2026-03-06')).toMatchObject({ due: true, text: 'chase now' })
  })

  it('says what else is known of somebody', () => {
    const one = {
      chases: 2,
      returnsOn: null,
      answeredBy: 'Gus',
      laterThanUsual: true,
      usualMinutes: 1440,
    } as AwaitedView
    expect(besides(one)).toEqual([
      'chased twice',
      'Gus has answered instead',
      'later than usual (usually after 3 working days)',
    ])
    expect(besides({ ...one, chases: 0, answeredBy: null, laterThanUsual: false })).toEqual([])
    expect(usually(0)).toBe('usually at once')
    expect(usually(125)).toBe('usually after 2 working hours')
  })

  it('lets the first of those awaited say when', () => {
    const line = {
      awaited: [
        { name: 'Tilda', chaseOn: '2026-03-09', why: 'SILENT' },
        { name: 'Bo', chaseOn: '2026-03-06', why: 'PROMISED' },
      ],
    } as ThreadLine
    expect(firstChase(line, '2026-03-05')).toMatchObject({ who: 'Bo', due: false })
    expect(firstChase({ awaited: [] as AwaitedView[] } as ThreadLine, '2026-03-05')).toBeUndefined()
  })
})
