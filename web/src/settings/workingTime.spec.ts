import { describe, expect, it } from 'vitest'
import { names, toggled } from '@/settings/workingTime'

describe('working time', () => {
  it('adds a day in its place with the hours of another', () => {
    const week = [
      { day: 'MONDAY', from: '08:00', to: '12:00' },
      { day: 'FRIDAY', from: '09:00', to: '17:00' },
    ] as const
    expect(toggled(week, 'TUESDAY')).toEqual([
      week[0],
      { day: 'TUESDAY', from: '08:00', to: '12:00' },
      week[1],
    ])
    expect(toggled(week, 'MONDAY')).toEqual([week[1]])
  })

  it('reads names from a line', () => {
    expect(names(' Tom, Tommy ,,')).toEqual(['Tom', 'Tommy'])
  })
})
