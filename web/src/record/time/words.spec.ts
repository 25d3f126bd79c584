import { describe, expect, it } from 'vitest'
import { amountText, hours, readLength, spentText } from '@/record/time/words'

describe('A length of time as it is typed', () => {
  it.each([
    ['45', 45],
    ['45 min', 45],
    ['1:30', 90],
    ['1h 30', 90],
    ['1 h', 60],
    ['1.5 h', 90],
    ['1,5h', 90],
    ['to 10:15', 75],
    ['–10:15', 75],
    ['until 8:00', 1380],
  ])('%s', (typed, minutes) => {
    expect(readLength(typed, '09:00')).toBe(minutes)
  })

  it.each(['', 'soon', '0', '25 h', 'to noonish', '1:75'])('“%s” is none', (typed) => {
    expect(readLength(typed, '09:00')).toBeUndefined()
  })
})

it('says beside what is told what was measured, where they differ', () => {
  expect(hours(65)).toBe('1:05')
  expect(spentText({ minutes: 20, rounded: 30 })).toBe('0:30 (0:20)')
  expect(spentText({ minutes: 30, rounded: 30 })).toBe('0:30')
  expect(amountText(null, 'EUR')).toBe('')
  expect(amountText(40, 'EUR')).toBe('40.00 EUR')
})
