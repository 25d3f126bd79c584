import { flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { client } from '@/api/client'
import { run, undoLast } from '@/api/commands'
import { useToasts } from '@/api/toasts'
import { fakeServer } from '@/testing/fakeServer'

let server: ReturnType<typeof fakeServer>
beforeEach(() => {
  server = fakeServer()
})
afterEach(() => {
  useToasts().$reset()
  vi.restoreAllMocks()
})

const UNDO = '/api/commands/{commandId}/undo'
const said = () => useToasts().list.map((toast) => toast.text)

function undone(): unknown[] {
  return server
    .sentTo('POST', UNDO)
    .map((one) => (one.params as { path: { commandId: string } }).path.commandId)
}

describe('taking back', () => {
  it('asks for the last change when the page has made none', async () => {
    server.answers('GET', '/api/commands/last', { last: { commandId: 'c1', label: 'Done: x' } })
    server.answers('POST', UNDO, { commandId: 'u1', label: 'Undone: Done: x', topics: [] })
    await undoLast()
    expect(undone()).toEqual(['c1'])
    expect(said()).toEqual(['Undone: Done: x'])
  })

  it('says so when there is nothing', async () => {
    server.answers('GET', '/api/commands/last', { last: null })
    await undoLast()
    expect(undone()).toEqual([])
    expect(said()).toEqual(['There is nothing to take back.'])
  })

  it('begins with what this page has done', async () => {
    server.answers('POST', '/api/categories/{id}', { commandId: 'c2', label: 'Added', topics: [] })
    server.answers('POST', UNDO, { commandId: 'u2', label: 'Undone: Added', topics: [] })
    await run((header) =>
      client.POST('/api/categories/{id}', { params: { path: { id: 'x' }, header } } as never),
    )
    await undoLast()
    await flushPromises()
    expect(undone()).toEqual(['c2'])
    expect(server.sentTo('GET', '/api/commands/last')).toHaveLength(0)
  })

  it('means the change that is not answered yet, however quick', async () => {
    server.answers('GET', '/api/commands/last', { last: { commandId: 'c0', label: 'Earlier' } })
    server.answers('POST', UNDO, { commandId: 'u3', label: 'Undone', topics: [] })
    let answer: (done: unknown) => void = () => undefined
    void run(
      () =>
        new Promise((resolve) => {
          answer = resolve as never
        }),
    )
    const undoing = undoLast()
    await flushPromises()
    expect(undone()).toEqual([])
    answer({
      data: { commandId: 'c3', label: 'Made', topics: [] },
      response: new Response(null, { status: 200 }),
    })
    await undoing
    expect(undone()).toEqual(['c3'])
  })

  it('goes one change further back with each press', async () => {
    server.answers('POST', UNDO, { commandId: 'u4', label: 'Undone', topics: [] })
    for (const commandId of ['c4', 'c5']) {
      await run(() =>
        Promise.resolve({
          data: { commandId, label: 'Made', topics: [] },
          response: new Response(null, { status: 200 }),
        }),
      )
    }
    await Promise.all([undoLast(), undoLast()])
    expect(undone()).toEqual(['c5', 'c4'])
  })
})
