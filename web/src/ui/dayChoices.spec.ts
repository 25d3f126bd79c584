import { describe, expect, it } from 'vitest'
import { choiceOf, movedChoice, numbered } from '@/ui/dayChoices'

const CHOICES = [
  { label: 'Today', day: '2026-03-04' },
  { label: 'Next working day', day: '2026-03-05' },
  { label: 'In two weeks', day: '2026-03-18' },
]

describe('days on offer', () => {
  it('have the same number wherever they are offered', () => {
    expect(numbered(CHOICES, '').map((each) => each.number)).toEqual([1, 2, 3])
    expect(numbered(CHOICES, '2026-03-05').map((each) => [each.number, each.label])).toEqual([
      [2, 'Next working day'],
      [3, 'In two weeks'],
    ])
  })

  it('are marked by their digit alone, never by one that begins a date', () => {
    const offered = numbered(CHOICES, '2026-03-05')
    expect(choiceOf('2', offered)).toBe(2)
    expect(choiceOf(' 3 ', offered)).toBe(3)
    for (const text of ['', '1', '9', '2 dec', '2d', '15', '2026-12-01', 'fri', '3 days']) {
      expect(choiceOf(text, offered), text).toBeUndefined()
    }
  })

  it('are marked one after the other by the arrows', () => {
    const offered = numbered(CHOICES, '2026-03-05')
    expect(movedChoice(offered, undefined, 1)).toBe(2)
    expect(movedChoice(offered, undefined, -1)).toBe(3)
    expect(movedChoice(offered, 2, 1)).toBe(3)
    expect(movedChoice(offered, 3, 1)).toBe(3)
    expect(movedChoice([], undefined, 1)).toBeUndefined()
  })
})
