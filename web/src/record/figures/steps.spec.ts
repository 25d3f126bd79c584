import { describe, expect, it } from 'vitest'
import { minutesApart } from '@/record/figures/steps'

describe('The lines of a chart of lengths', () => {
  it('stand at hours within a day, and at whole days beyond', () => {
    expect(minutesApart(40, 480)).toBe(15)
    expect(minutesApart(200, 480)).toBe(60)
    expect(minutesApart(900, 480)).toBe(240)
    expect(minutesApart(1_000, 480)).toBe(480)
    expect(minutesApart(4_000, 450)).toBe(5 * 450)
  })

  it('never stand at more than a day of somebody who works less', () => {
    expect(minutesApart(900, 180)).toBe(2 * 180)
    expect(minutesApart(300, 180)).toBe(120)
  })

  it('are few, however long something took', () => {
    for (let most = 1; most < 2_000_000; most *= 3) {
      expect(most / minutesApart(most, 480)).toBeLessThanOrEqual(4)
    }
  })
})
