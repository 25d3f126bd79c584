import { describe, expect, it } from 'vitest'
import { findAsk, textParts } from '@/message/textParts'

describe('a message text', () => {
  it('marks the ask however it is wrapped', () => {
    const text = 'Hello Ines,\n\ncould you send me\nthe plan? Thanks'
    expect(
      textParts(text, 'could you send me the plan?').map((part) => [part.kind, part.text]),
    ).toEqual([
      ['plain', 'Hello Ines,\n\n'],
      ['ask', 'could you send me\nthe plan?'],
      ['plain', ' Thanks'],
    ])
  })

  it('finds nothing where nothing is', () => {
    expect(findAsk('and the and', 'and then')).toBeUndefined()
    expect(findAsk('text', null)).toBeUndefined()
  })

  it('knows links without what stands behind them', () => {
    expect(textParts('See https://a.example/b, please.', null).map((part) => part.text)).toEqual([
      'See ',
      'https://a.example/b',
      ', please.',
    ])
  })
})
