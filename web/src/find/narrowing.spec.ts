import { describe, expect, it } from 'vitest'
import type { FoundThing } from '@/api/client'
import { addressOf, filterOf, narrows, NOTHING, pieces, placeOf, requestOf } from '@/find/narrowing'

const THING: FoundThing = {
  kind: 'MESSAGE',
  id: 'm1',
  title: 'Quote',
  snippet: '',
  hits: [],
  who: 'Tilda',
  at: '2026-03-02T09:00:00Z',
  state: 'WITH_ME',
  messageId: 'm1',
  threadId: 't1',
  categoryId: null,
  more: 0,
}

describe('what narrows a search', () => {
  it('stands in the address and is read from it again', () => {
    const filter = {
      ...NOTHING,
      kind: 'FILE' as const,
      person: 'a@x.example',
      standing: 'OPEN' as const,
      withFile: true,
      linked: false,
      fromDay: '2026-03-02',
    }
    const address = addressOf('crane', filter, true)
    expect(address).toEqual({
      q: 'crane',
      kind: 'FILE',
      person: 'a@x.example',
      standing: 'OPEN',
      file: 'yes',
      linked: 'no',
      from: '2026-03-02',
      order: 'newest',
    })
    expect(filterOf(address as Record<string, string>)).toEqual(filter)
    expect(filterOf({ kind: 'NONSENSE', file: 'maybe', q: ['a', 'b'] })).toEqual(NOTHING)
  })

  it('is asked of the server as far as it is chosen', () => {
    expect(requestOf('crane', { ...NOTHING, linked: false }, false, 30)).toEqual({
      q: 'crane',
      linked: false,
      newest: false,
      most: 30,
    })
    expect(narrows(NOTHING)).toBe(false)
    expect(narrows({ ...NOTHING, linked: false })).toBe(true)
  })

  it('leads to where a result is', () => {
    expect(placeOf(THING)).toBe('/threads/t1?message=m1')
    expect(placeOf({ ...THING, state: 'IN_INTAKE' })).toBe('/intake/m1')
    expect(placeOf({ ...THING, kind: 'FOLLOW_UP', id: 'f1' })).toBe('/follow-ups/f1')
    expect(placeOf({ ...THING, kind: 'PERSON', id: '@otto:quay.example' })).toBe(
      '/people/%40otto%3Aquay.example',
    )
  })

  it('marks what was looked for', () => {
    expect(pieces('the crane is here', [{ from: 4, to: 9 }])).toEqual([
      { text: 'the ', hit: false },
      { text: 'crane', hit: true },
      { text: ' is here', hit: false },
    ])
    expect(pieces('crane', [{ from: 0, to: 5 }])).toEqual([{ text: 'crane', hit: true }])
    expect(pieces('', [])).toEqual([])
  })
})
