import { describe, expect, it } from 'vitest'
import type { MessageView } from '@/api/client'
import { askOf, elapsed, fieldsOf, filled, withQuote } from '@/intake/fields'

const message = {
  from: { name: 'Tilda Brandt', address: 'tilda@brandt.example' },
  subject: 'Crane',
  ownWords: 'Hello,\n\ncould you send\nthe plan? Bye',
  proposal: { replyBy: '2026-03-06', title: 'Send Tilda the plan' },
  reading: { marks: [{ from: 7, to: 32, kind: 'ASK', why: '' }] },
} as unknown as MessageView

describe('an answer', () => {
  it('takes phrases with their fields filled in, others stay', () => {
    const fields = fieldsOf(message, 'Ines Calloway')
    expect(filled('Dear {name}, {papers} by {date}. {me}', fields)).toBe(
      'Dear Tilda, {papers} by Fri 6 Mar. Ines Calloway',
    )
  })

  it('quotes the ask on one line', () => {
    expect(askOf(message)).toBe('could you send the plan?')
    expect(withQuote('Yes.', askOf(message))).toBe('> could you send the plan?\n\nYes.')
    expect(withQuote('Yes.', '')).toBe('Yes.')
  })

  it('shows how long it is taking', () => {
    expect(elapsed(0, 61_900)).toBe('1:01')
    expect(elapsed(5, 0)).toBe('0:00')
  })
})
