import { describe, expect, it } from 'vitest'
import { found, nearest, takersOf, whyNot } from '@/intake/takers'

const colleagues = [
  { name: 'Gus Ferrant', signIn: 'gferrant', addresses: ['gus@quay.example', 'yard@quay.example'] },
  { name: 'Lena Okafor', signIn: 'lena', addresses: [] },
]
const people = [
  { name: 'Tilda Brandt', address: 'tilda@brandt.example' },
  { name: 'Gus Ferrant', address: 'gus@quay.example' },
  { name: 'Bo Lindgren', address: 'bo@quay.example' },
  { name: 'Bo in the chat', address: '@bo:quay.example' },
  { name: 'Me', address: 'ines@quay.example' },
]
const takers = takersOf(colleagues, people, ['ines@quay.example'])

describe('those to whom something can be handed over', () => {
  it('are colleagues first, then my own domain, each once and without me', () => {
    expect(takers.map((taker) => taker.name)).toEqual([
      'Gus Ferrant',
      'Lena Okafor',
      'Bo Lindgren',
      'Tilda Brandt',
    ])
  })

  it('are found by name, account name and every address', () => {
    for (const typed of ['gus f', 'GFERRANT', 'yard@quay.example', 'gus@quay.example']) {
      expect(found(takers, typed)[0]?.name, typed).toBe('Gus Ferrant')
    }
    expect(found(takers, 'tilda@brandt.example')[0]?.name).toBe('Tilda Brandt')
    expect(found(takers, 'nobody')).toEqual([])
  })

  it('are dragged to when they are near and have a mailbox', () => {
    expect(nearest(takers, ['ines@quay.example'])).toEqual([
      { name: 'Gus Ferrant', address: 'gus@quay.example' },
      { name: 'Bo Lindgren', address: 'bo@quay.example' },
    ])
  })

  it('say why they cannot be given anything', () => {
    expect(found(takers, 'lena')[0]?.lacks).toContain('has connected no mailbox')
    expect(whyNot('anselm')).toContain('Nobody here is called “anselm”')
    expect(whyNot('anselm@')).toContain('no whole mail address')
    expect(whyNot(' ')).toContain('Say to whom')
  })
})
