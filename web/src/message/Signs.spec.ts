import { flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { ThreadMessage } from '@/api/client'
import Signs from '@/message/Signs.vue'
import { fakeServer, opened } from '@/testing/fakeServer'

const MESSAGE: ThreadMessage = {
  id: 'm1',
  direction: 'INCOMING',
  nature: 'PERSON',
  from: { name: 'Bo', address: '@bo:quay.example' },
  sentAt: '2026-03-02T09:00:00Z',
  ownWords: 'Shall we hide the heron?',
  hasMore: false,
  files: [],
  reactions: [
    { sign: '👍', by: ['Tilda', 'me'], mine: true },
    { sign: '👀', by: ['Tilda'], mine: false },
  ],
  canReact: true,
  edited: false,
  removed: false,
  answersId: null,
}
const DONE = { commandId: 'c1', label: 'Done', topics: [] }

let server: ReturnType<typeof fakeServer>
beforeEach(() => {
  server = fakeServer()
  server.answers('POST', '/api/messages/{id}/reactions', DONE)
  server.answers('DELETE', '/api/messages/{id}/reactions', DONE)
})
afterEach(() => {
  vi.restoreAllMocks()
  document.body.innerHTML = ''
})

describe('the signs on a message', () => {
  it('say how many put them there, and who', async () => {
    const page = await opened(Signs, { message: MESSAGE })
    const signs = page.findAll('[data-test=sign]')
    expect(signs.map((sign) => sign.text())).toEqual(['👍 2', '👀'])
    expect(signs.map((sign) => sign.attributes('title'))).toEqual(['Tilda, me', 'Tilda'])
    expect(signs.map((sign) => sign.attributes('aria-pressed'))).toEqual(['true', 'false'])
  })

  it('take mine off and put mine beside that of others', async () => {
    const page = await opened(Signs, { message: MESSAGE })
    const [thumb, eyes] = page.findAll('[data-test=sign]')
    await thumb?.trigger('click')
    await flushPromises()
    await Promise.all([eyes?.trigger('click'), eyes?.trigger('click')])
    await flushPromises()
    expect(server.sentTo('POST', '/api/messages/{id}/reactions')).toHaveLength(1)
    expect(server.sentTo('DELETE', '/api/messages/{id}/reactions')[0]?.params).toMatchObject({
      path: { id: 'm1' },
      query: { sign: '👍' },
    })
    expect(server.sentTo('POST', '/api/messages/{id}/reactions')[0]?.body).toEqual({ sign: '👀' })
  })

  it('offer nothing where nothing can be put', async () => {
    const page = await opened(Signs, { message: { ...MESSAGE, reactions: [], canReact: false } })
    expect(page.find('button').exists()).toBe(false)
  })
})
