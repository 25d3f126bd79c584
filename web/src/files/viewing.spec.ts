import { describe, expect, it } from 'vitest'
import { wayToShow } from '@/files/viewing'

const file = (name: string, type: string, viewable: boolean, size = 100) => ({
  address: '/x',
  name,
  type,
  viewable,
  size,
})

describe('A file', () => {
  it('is shown in place where that is safe, else only saved', () => {
    expect(wayToShow(file('a.png', 'image/png', true))).toBe('picture')
    expect(wayToShow(file('a.svg', 'image/svg+xml', false))).toBeUndefined()
    expect(wayToShow(file('a.txt', 'text/plain', true))).toBe('text')
    expect(wayToShow(file('a.html', 'text/html', false))).toBeUndefined()
    expect(wayToShow(file('a.pdf', 'application/octet-stream', false))).toBe('pdf')
    expect(wayToShow(file('a.pdf', 'application/pdf', false, 40_000_000))).toBeUndefined()
  })
})
