import { describe, expect, it } from 'vitest'
import type { CategoryView, FollowUpLine } from '@/api/client'
import { byCategory } from '@/followups/standing'

const category = (id: string) => ({ id, name: id }) as CategoryView
const line = (id: string, categoryId: string | null) => ({ id, categoryId }) as FollowUpLine

describe('groups', () => {
  it('follow the order of the categories, without empty ones', () => {
    const groups = byCategory(
      [line('1', 'b'), line('2', null), line('3', 'a'), line('4', 'gone')],
      [category('a'), category('b'), category('c')],
    )
    expect(groups.map((group) => [group.category?.id, group.lines.map((each) => each.id)])).toEqual(
      [
        ['a', ['3']],
        ['b', ['1']],
        [undefined, ['2', '4']],
      ],
    )
  })
})
