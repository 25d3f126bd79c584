import { describe, expect, it } from 'vitest'
import type { Mark } from '@/api/client'
import { textParts } from '@/message/textParts'

function mark(text: string, words: string, kind: Mark['kind']): Mark {
  const from = text.indexOf(words)
  return { from, to: from + words.length, kind, why: '' }
}

describe('a message text', () => {
  it('is cut where asks and dates begin and end', () => {
    const text = 'Hello,\ncould you send\nit by Friday? Thanks'
    const marks = [
      mark(text, 'could you send\nit by Friday?', 'ASK'),
      mark(text, 'by Friday', 'DATE'),
    ]
    expect(
      textParts(text, marks).map((part) => [part.text, part.sentence?.kind, part.date?.kind]),
    ).toEqual([
      ['Hello,\n', undefined, undefined],
      ['could you send\nit ', 'ASK', undefined],
      ['by Friday', 'ASK', 'DATE'],
      ['?', 'ASK', undefined],
      [' Thanks', undefined, undefined],
    ])
  })

  it('loses nothing to a mark that lies outside', () => {
    const parts = textParts('short', [{ from: 3, to: 900, kind: 'HINT', why: '' }])
    expect(parts.map((part) => part.text).join('')).toBe('short')
  })

  it('knows links without what stands behind them', () => {
    expect(textParts('See https://a.example/b, please.', []).map((part) => part.text)).toEqual([
      'See ',
      'https://a.example/b',
      ', please.',
    ])
  })
})
