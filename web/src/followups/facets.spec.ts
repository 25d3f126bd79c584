import { describe, expect, it } from 'vitest'
import type { FollowUpGroup } from '@/api/client'
import { byFacet, titleOf } from '@/followups/facets'
import { lineOf } from '@/testing/day'

function group(key: string, followUps: string[], name = ''): FollowUpGroup {
  return { key, name, followUps, minutes: 10 }
}

describe('the list of follow-ups', () => {
  it('stands in the order of its groups, what came back on top and what has ended last', () => {
    const open = [lineOf('a'), lineOf('b'), lineOf('c', { back: true })]
    const groups = byFacet(
      [group('LATE', ['b', 'c']), group('UNDATED', ['a', 'gone elsewhere'])],
      'REPLY_BY',
      open,
      [
        { title: 'Ended', lines: [lineOf('done')] },
        { title: 'Waiting', lines: [] },
      ],
      new Set(),
      32,
    )
    expect(groups.map((each) => [each.title, each.rows.map((row) => row.key)])).toEqual([
      ['Back on top', ['c']],
      ['Late', ['b']],
      ['Without a date', ['a']],
      ['Ended', ['done']],
    ])
  })

  it('hides nothing that no group has yet', () => {
    const groups = byFacet([], 'PLACE', [lineOf('a')], [], new Set(), 32)
    expect(groups.map((each) => [each.title, each.count])).toEqual([['New', 1]])
  })

  it('keeps the heading of what is folded, with its count', () => {
    const [first] = byFacet(
      [group('yard', ['a'], 'Yard')],
      'PLACE',
      [lineOf('a')],
      [],
      new Set(['PLACE yard']),
      32,
    )
    expect(first).toMatchObject({ title: 'Yard', count: 1, minutes: 10, folded: true, rows: [] })
  })

  it('calls each group by what it has', () => {
    expect(titleOf(group('', []), 'PLACE')).toBe('Anywhere')
    expect(titleOf(group('HIGH', []), 'PRIORITY')).toBe('High priority')
    expect(titleOf(group('15', []), 'EFFORT')).toBe('Up to 15 minutes')
    expect(titleOf(group('id', [], 'Crane'), 'CATEGORY')).toBe('Crane')
    expect(titleOf(group('', []), 'CATEGORY')).toBe('In no category')
  })
})
