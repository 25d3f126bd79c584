import { describe, expect, it } from 'vitest'
import type { IntakeLine } from '@/api/client'
import { inOrder, without } from '@/intake/order'

function line(id: string, heap: IntakeLine['heap']): IntakeLine {
  return {
    id,
    threadId: id,
    heap,
    channel: 'MAIL',
    from: id,
    about: id,
    subjectBeside: '',
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
    late: false,
  }
}

describe('the order of Intake', () => {
  const lines = [line('read', 'TO_READ'), line('a', 'ASKS_YOU'), line('b', 'ASKS_YOU')]

  it('puts what asks first and what was left last in its heap', () => {
    expect(inOrder(lines, new Set()).map((each) => each.id)).toEqual(['a', 'b', 'read'])
    expect(inOrder(lines, new Set(['a'])).map((each) => each.id)).toEqual(['b', 'a', 'read'])
  })

  it('keeps what belongs together side by side, but not what asks', () => {
    const room = (id: string, heap: IntakeLine['heap']) => ({ ...line(id, heap), roomId: '!r' })
    const mixed = (heap: IntakeLine['heap']) => [room('a', heap), line('x', heap), room('b', heap)]
    const ids = (heap: IntakeLine['heap']) => inOrder(mixed(heap), new Set()).map((each) => each.id)
    expect(ids('TO_READ')).toEqual(['a', 'b', 'x'])
    expect(ids('ASKS_YOU')).toEqual(['a', 'x', 'b'])
  })

  it('is without a message at once when it is decided', () => {
    const view = {
      total: 3,
      counts: { ASKS_YOU: 2, TO_READ: 1 },
      lines,
      quickChoices: [],
      putOff: [],
      heldBack: null,
    }
    expect(without(view, new Set(['a']))).toMatchObject({
      total: 2,
      counts: { ASKS_YOU: 1, TO_READ: 1 },
    })
    expect(without(view, new Set(['gone']))).toBe(view)
  })
})
