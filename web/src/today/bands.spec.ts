import { describe, expect, it } from 'vitest'
import { entryOf } from '@/testing/day'
import { banded, stepped } from '@/today/bands'

const bands = banded([
  entryOf('a', { band: 'NOW' }),
  entryOf('b'),
  entryOf('c'),
  entryOf('d', { band: 'IF_TIME' }),
])

describe('the bands of the day', () => {
  it('change their order a step at a time', () => {
    expect(stepped(bands, 'c', -1)).toEqual({ band: 'LATER', inOrder: ['c', 'b'] })
    expect(stepped(bands, 'b', 1)).toEqual({ band: 'LATER', inOrder: ['c', 'b'] })
  })

  it('hand on over their edges', () => {
    expect(stepped(bands, 'b', -1)).toEqual({ band: 'NOW', inOrder: ['a', 'b'] })
    expect(stepped(bands, 'c', 1)).toEqual({ band: 'IF_TIME', inOrder: ['c', 'd'] })
  })

  it('end with the day', () => {
    expect(stepped(bands, 'a', -1)).toBeUndefined()
    expect(stepped(bands, 'd', 1)).toBeUndefined()
    expect(stepped(bands, 'x', 1)).toBeUndefined()
  })
})
