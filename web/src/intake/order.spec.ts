import { describe, expect, it } from 'vitest'
import type { IntakeLine } from '@/api/client'
import { after, inOrder, without } from '@/intake/order'

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
    roomId: null,
    party: '',
    list: false,
    putOffUntil: null,
    hasFiles: false,
    replyDay: null,
    replyTime: null,
    replyFirm: false,
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
    expect(after(order, 'a', new Set(['b']))).toBe('read')
    expect(after([line('only', 'TO_READ')], 'only')).toBeUndefined()
  })

  it('is without a message at once when it is decided', () => {
    const view = {
      total: 3,
      counts: { ASKS_YOU: 2, TO_READ: 1 },
      lines,
      quickChoices: [],
      putOff: [],
    }
    expect(without(view, new Set(['a']))).toMatchObject({
      total: 2,
      counts: { ASKS_YOU: 1, TO_READ: 1 },
    })
    expect(without(view, new Set(['gone']))).toBe(view)
  })
})
