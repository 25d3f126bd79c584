import { expect, it } from 'vitest'
import { mondayOf, timeFile, timeWishIn } from '@/record/time/query'

it('weeks begin on Monday, on a Sunday and over the end of a month too', () => {
  expect(mondayOf('2026-03-02')).toBe('2026-03-02')
  expect(mondayOf('2026-03-01')).toBe('2026-02-23')
  expect(mondayOf('2026-01-01')).toBe('2025-12-29')
})

it('an address asks for days, and what it says wrongly is not asked for', () => {
  expect(timeWishIn({ from: '2026-03-02', to: '2026-03-08', by: 'PERSON' })).toEqual({
    from: '2026-03-02',
    to: '2026-03-08',
    by: 'PERSON',
  })
  expect(timeWishIn({ from: 'x', by: 'COLOUR' }).by).toBe('DAY')
  expect(timeFile({ from: '2026-03-02', to: '2026-03-08', by: 'DAY' }, 'pdf')).toBe(
    '/api/time.pdf?from=2026-03-02&to=2026-03-08&by=DAY',
  )
})
