import { describe, expect, it } from 'vitest'
import type { FollowUpLine } from '@/api/client'
import { bySpan } from '@/followups/standing'

function line(id: string, due: FollowUpLine['due']): FollowUpLine {
  return { id, due } as FollowUpLine
}

describe('the list of follow-ups', () => {
  it('shows what is late and soon first, and what has ended last', () => {
    const open = [
      line('late', 'LATE'),
      line('some day', 'UNDATED'),
      line('a', 'TODAY'),
      line('b', 'TODAY'),
    ]
    const groups = bySpan(open, [{ title: 'Ended', lines: [line('done', 'LATE')] }], 32)
    expect(groups.map((group) => [group.title, group.rows.map((row) => row.key)])).toEqual([
      ['Late', ['late']],
      ['Today', ['a', 'b']],
      ['Without a date', ['some day']],
      ['Ended', ['done']],
    ])
  })

  it('is empty where nothing is', () => {
    expect(bySpan([], [{ title: 'Ended', lines: [] }], 32)).toEqual([])
  })
})
