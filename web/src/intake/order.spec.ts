import { describe, expect, it } from 'vitest'
import type { IntakeLine } from '@/api/client'
import { after, inOrder } from '@/intake/order'

function line(id: string, heap: IntakeLine['heap']): IntakeLine {
  return {
    id,
    heap,
    channel: 'MAIL',
    from: id,
    about: id,
    sentAt: '2026-03-02T09:00:00Z',
    waitingWorkingMinutes: 0,
    source: '',
    room: null,
    hasFiles: false,
  }
}

describe('the order of Intake', () => {
  const lines = [line('read', 'TO_READ'), line('a', 'ASKS_YOU'), line('b', 'ASKS_YOU')]

  it('puts what asks first and what was left last in its heap', () => {
    expect(inOrder(lines, new Set()).map((each) => each.id)).toEqual(['a', 'b', 'read'])
    expect(inOrder(lines, new Set(['a'])).map((each) => each.id)).toEqual(['b', 'a', 'read'])
  })

  it('goes on with the next, and back at the end', () => {
    const order = inOrder(lines, new Set())
    expect(after(order, 'a')).toBe('b')
    expect(after(order, 'read')).toBe('b')
    expect(after([line('only', 'TO_READ')], 'only')).toBeUndefined()
  })
})
