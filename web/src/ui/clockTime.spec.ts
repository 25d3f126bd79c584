import { describe, expect, it } from 'vitest'
import { readTime } from '@/ui/clockTime'

describe('a typed time', () => {
  it.each([
    ['9', '09:00'],
    ['9:30', '09:30'],
    ['0930', '09:30'],
    ['930', '09:30'],
    ['9.30', '09:30'],
    ['17h15', '17:15'],
    ['2 pm', '14:00'],
    ['12am', '00:00'],
    ['12 p.m.', '12:00'],
    [' Noon ', '12:00'],
    ['midnight', '00:00'],
  ])('%s is %s', (typed, time) => {
    expect(readTime(typed)).toBe(time)
  })

  it.each(['', 'soon', '24', '9:60', '13 pm', '0 am', '9:3', '12345'])('%s is none', (typed) => {
    expect(readTime(typed)).toBeUndefined()
  })
})
