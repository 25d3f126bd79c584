import { describe, expect, it } from 'vitest'
import type { FollowUpGroup } from '@/api/client'
import { byFacet, choiceFor, titleOf } from '@/followups/facets'
import { lineOf } from '@/testing/day'

function group(key: string, followUps: string[], name = ''): FollowUpGroup {
  return { key, name, followUps, minutes: 10, day: null }
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

  it('shows only what a filter lets through', () => {
    const open = [
      lineOf('a'),
      lineOf('b'),
      lineOf('c', { back: true }),
      lineOf('d', { back: true }),
    ]
    const groups = byFacet([group('LATE', ['a', 'c'])], 'REPLY_BY', open, [], new Set(), 32, true)
    expect(groups.map((each) => each.rows.map((row) => row.key))).toEqual([['c'], ['a']])
  })

  it('says what is meant when something is put into a group', () => {
    const into = (value: FollowUpGroup, facet: Parameters<typeof choiceFor>[1]) =>
      choiceFor(
        { key: '', title: '', rows: [], count: 0, minutes: 0, folded: false, lines: [], value },
        facet,
      )
    expect(into({ ...group('THIS_WEEK', []), day: '2026-03-06' }, 'REPLY_BY')).toEqual({
      kind: 'REPLY_BY',
      day: '2026-03-06',
    })
    expect(into(group('UNDATED', []), 'REPLY_BY')).toEqual({ kind: 'REPLY_BY', day: null })
    expect(into(group('LATE', []), 'REPLY_BY')).toBeUndefined()
    expect(into(group('yard', [], 'Yard'), 'PLACE')).toEqual({ kind: 'PLACE', place: 'Yard' })
    expect(into(group('15', []), 'EFFORT')).toEqual({ kind: 'EFFORT', minutes: 15 })
    expect(into(group('', []), 'CATEGORY')).toEqual({ kind: 'CATEGORY', categoryId: null })
    expect(into(group('o@x.example', [], 'Otto'), 'PERSON')).toEqual({
      kind: 'PERSON',
      personName: 'Otto',
      personAddress: 'o@x.example',
    })
    expect(into(group('s1', [], 'Office'), 'SOURCE')).toBeUndefined()
  })
})
