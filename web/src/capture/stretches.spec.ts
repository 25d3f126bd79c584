import { describe, expect, it } from 'vitest'
import { stretchesOf } from '@/capture/stretches'

const line = 'paint the ladder by Friday, 45 min'

describe('the stretches of a captured line', () => {
  it('are cut where words were understood, in the order of the line', () => {
    const words = [
      { kind: 'EFFORT' as const, fromInclusive: 28, toExclusive: 34 },
      { kind: 'REPLY_BY' as const, fromInclusive: 17, toExclusive: 26 },
    ]
    expect(stretchesOf(line, line, words)).toEqual([
      { text: 'paint the ladder ', kind: null },
      { text: 'by Friday', kind: 'REPLY_BY' },
      { text: ', ', kind: null },
      { text: '45 min', kind: 'EFFORT' },
    ])
  })

  it('always hold the whole line, also while an older reading is known', () => {
    const words = [{ kind: 'EFFORT' as const, fromInclusive: 28, toExclusive: 34 }]
    const shorter = line.slice(0, 30)
    expect(stretchesOf(shorter, line, words)).toEqual([{ text: shorter, kind: null }])
  })

  it('count from behind the mark of a list and white space', () => {
    const words = [{ kind: 'EFFORT' as const, fromInclusive: 6, toExclusive: 12 }]
    expect(stretchesOf('  - paint 45 min', '  - paint 45 min', words)).toEqual([
      { text: '  - paint ', kind: null },
      { text: '45 min', kind: 'EFFORT' },
    ])
  })

  it('of an empty line are none', () => {
    expect(stretchesOf('', '', [])).toEqual([])
  })
})
