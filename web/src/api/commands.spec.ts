import { flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { client } from '@/api/client'
import { run, undoLast } from '@/api/commands'
import { dismiss, toasts } from '@/api/toasts'
import { fakeServer } from '@/testing/fakeServer'

let server: ReturnType<typeof fakeServer>
beforeEach(() => {
  server = fakeServer()
})
afterEach(() => {
  toasts.value.forEach((toast) => {
    dismiss(toast.id)
  })
  vi.restoreAllMocks()
})

const UNDO = '/api/commands/{commandId}/undo'
const said = () => toasts.value.map((toast) => toast.text)

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
})
