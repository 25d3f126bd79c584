import { describe, expect, it } from 'vitest'
import { daysOf, spansOf, withoutSpan, withSpan } from '@/settings/daysOff'

describe('days off', () => {
  it('are shown as spans, over the end of a month and of a year too', () => {
    expect(spansOf(['2027-01-01', '2026-12-30', '2026-12-31', '2027-01-05'])).toEqual([
      { from: '2026-12-30', to: '2027-01-01' },
      { from: '2027-01-05', to: '2027-01-05' },
    ])
    expect(spansOf([])).toEqual([])
  })

  it('are named by their ends, in either order, and bounded', () => {
    expect(daysOf('2026-03-01', '2026-02-27')).toEqual(['2026-02-27', '2026-02-28', '2026-03-01'])
    expect(daysOf('2026-03-28', '2026-03-30')).toHaveLength(3)
    expect(daysOf('2026-01-01', '2030-01-01')).toHaveLength(120)
  })

  it('come and go by spans', () => {
    const days = withSpan(['2026-07-07'], '2026-07-06', '2026-07-08')
    expect(days).toEqual(['2026-07-06', '2026-07-07', '2026-07-08'])
    expect(withoutSpan([...days, '2026-07-10'], { from: '2026-07-06', to: '2026-07-08' })).toEqual([
      '2026-07-10',
    ])
  })
})
