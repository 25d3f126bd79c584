import { describe, expect, it } from 'vitest'
import type { IntakeLine } from '@/api/client'
import { inOrder } from '@/intake/order'
import { after, foldOf, heapsOf, rowsOf, rowWith, type Row } from '@/intake/rows'

function line(id: string, changed: Partial<IntakeLine> = {}): IntakeLine {
  return { id, heap: 'TO_READ', threadId: id, roomId: null, ...changed } as IntakeLine
}

const room = { roomId: '!slipway' }
const talk = ['a', 'b', 'c'].map((id) => line(id, room))

function keys(rows: readonly Row[]): string[] {
  return rows.map((row) => (row.kind === 'fold' ? `${row.key}×${row.lines.length}` : row.key))
}

describe('the rows of Intake', () => {
  it('fold what one room said, wherever it stands between others', () => {
    const lines = inOrder([line('a', room), line('x'), line('b', room), line('c', room)], new Set())
    expect(keys(rowsOf(lines, new Set()))).toEqual(['a×3', 'x'])
  })

  it('fold a thread that is to be read, and no asks of one', () => {
    const thread = ['a', 'b', 'c'].map((id) => line(id, { threadId: 't' }))
    const asks = thread.map((each) => ({ ...each, heap: 'ASKS_YOU' as const }))
    expect(keys(rowsOf(thread, new Set()))).toEqual(['a×3'])
    expect(keys(rowsOf(asks, new Set()))).toEqual(['a', 'b', 'c'])
  })

  it('leave the order of what asks, so that only neighbours fold', () => {
    const asks = [
      ...talk.slice(0, 2),
      line('x'),
      ...['c', 'd', 'e', 'f'].map((id) => line(id, room)),
    ].map((each) => ({ ...each, heap: 'ASKS_YOU' as const }))
    expect(keys(rowsOf(inOrder(asks, new Set()), new Set()))).toEqual(['a', 'b', 'x', 'c×4'])
  })

  it('show each when asked to, two always', () => {
    const unfolded = new Set([foldOf(talk[0] as IntakeLine)])
    expect(keys(rowsOf(talk, unfolded))).toEqual(['a', 'b', 'c'])
    expect(keys(rowsOf(talk.slice(0, 2), new Set()))).toEqual(['a', 'b'])
  })

  it('know the row of a message, and what comes after it', () => {
    const rows = rowsOf([line('x'), ...talk, line('y')], new Set())
    expect(rowWith(rows, 'b')?.key).toBe('a')
    expect(after(rows, rows[0])).toBe('a')
    expect(after(rows, rows[0], new Set(['a', 'x']))).toBe('b')
    expect(after(rows, rows[1], new Set(['a', 'b', 'c']))).toBe('y')
    expect(after(rows, rows[2])).toBe('a')
    expect(after(rows, undefined)).toBe('x')
    expect(after(rows.slice(0, 1), rows[0])).toBeUndefined()
  })

  it('stand under their heaps, which say what is missing from them', () => {
    const heaps = heapsOf([line('x', { heap: 'ASKS_YOU' }), ...talk], new Set(), {
      ASKS_YOU: 9,
      TO_READ: 3,
    })
    expect(
      heaps.map((heap) => [heap.key, heap.lines, heap.count, heap.rows.length, heap.end]),
    ).toEqual([
      ['ASKS_YOU', 1, 9, 1, true],
      ['TO_READ', 3, 3, 1, false],
      ['AUTOMATIC', 0, 0, 0, true],
    ])
  })
})
