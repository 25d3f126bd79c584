import { describe, expect, it } from 'vitest'
import type { ProvedExchange } from '@/api/client'
import { kindText, spanText } from '@/record/proof/words'

const exchange = (more: Partial<ProvedExchange>): ProvedExchange => ({
  kind: 'ASKED_ME',
  other: { name: 'Bo', address: 'bo@x.example' },
  words: '',
  asked: null,
  askedAt: '2026-03-04T10:00:00Z',
  promised: null,
  promisedAt: null,
  promisedWords: '',
  outcome: 'OPEN',
  answered: null,
  answeredAt: null,
  workingMinutes: 0,
  ...more,
})

describe('What was asked', () => {
  it('says who asked whom', () => {
    expect(kindText(exchange({}))).toBe('Bo asked me')
    expect(
      kindText(exchange({ kind: 'PROMISED_TO_ME', other: { name: '', address: 'bo@x.example' } })),
    ).toBe('bo@x.example promised me')
  })

  it('says how long it is open, or how long an answer took', () => {
    expect(spanText(exchange({}))).toBe('')
    expect(spanText(exchange({ workingMinutes: 30 }))).toBe('for 30 min')
    expect(spanText(exchange({ outcome: 'ANSWERED' }))).toBe('at once')
    expect(spanText(exchange({ outcome: 'ANSWERED', workingMinutes: 90 }))).toBe('after 1 h')
  })
})
