import { describe, expect, it } from 'vitest'
import type { FollowUpLine } from '@/api/client'
import { matching } from '@/intake/matching'

function line(id: string, title: string, from = ''): FollowUpLine {
  return { id, title, from } as FollowUpLine
}

const open = [
  line('a', 'Send Tilda the crane plan', 'Tilda Brandt'),
  line('b', 'Ring the insurer', 'Beatrix Moll'),
  line('c', 'Answer Bo: crane free on Friday?', 'Bo Lindgren'),
]
const none = new Set<string>()

describe('finding a follow-up', () => {
  it('takes every word in title or person, in any order', () => {
    expect(matching(open, 'crane', none, none).map((each) => each.id)).toEqual(['a', 'c'])
    expect(matching(open, 'bo crane', none, none).map((each) => each.id)).toEqual(['c'])
    expect(matching(open, 'beatrix', none, none).map((each) => each.id)).toEqual(['b'])
    expect(matching(open, 'nothing of this', none, none)).toEqual([])
  })

  it('shows those of the thread first and none that has the message', () => {
    expect(matching(open, '', new Set(['c']), new Set(['b'])).map((each) => each.id)).toEqual([
      'c',
      'a',
    ])
  })

  it('shows a handful', () => {
    const many = Array.from({ length: 30 }, (_, i) => line(`n${i}`, `Note ${i}`))
    expect(matching(many, 'note', none, none)).toHaveLength(6)
  })
})
