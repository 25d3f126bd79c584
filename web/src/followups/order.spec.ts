import { describe, expect, it } from 'vitest'
import { movedBy, putBefore } from '@/followups/order'

const ALL = ['a', 'b', 'c', 'd']

describe('My own order', () => {
  it('has what is moved before what it was put before, together', () => {
    expect(putBefore(ALL, ['d'], 'a')).toEqual(['d', 'a', 'b', 'c'])
    expect(putBefore(ALL, ['a', 'c'], 'd')).toEqual(['b', 'a', 'c', 'd'])
    expect(putBefore(ALL, ['a'], undefined)).toEqual(['b', 'c', 'd', 'a'])
    expect(putBefore(ALL, ['b', 'c'], 'b')).toEqual(ALL)
    expect(putBefore(ALL, ['x'], 'b')).toEqual(['a', 'x', 'b', 'c', 'd'])
  })

  it('is changed by one place with a key, and not beyond the ends', () => {
    expect(movedBy(ALL, ['c'], -1)).toEqual(['a', 'c', 'b', 'd'])
    expect(movedBy(ALL, ['c'], 1)).toEqual(['a', 'b', 'd', 'c'])
    expect(movedBy(ALL, ['a'], -1)).toBeUndefined()
    expect(movedBy(ALL, ['a', 'd'], 1)).toBeUndefined()
    expect(movedBy(ALL, ['b', 'c'], 1)).toEqual(['a', 'd', 'b', 'c'])
  })
})
