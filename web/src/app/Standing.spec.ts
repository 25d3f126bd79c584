import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { OutboxLine } from '@/api/client'
import Standing from '@/app/Standing.vue'
import { fakeServer, opened, pressed } from '@/testing/fakeServer'

const STUCK: OutboxLine = {
  id: 'o1',
  commandId: 'c0',
  kind: 'SEND_MAIL',
  state: 'UNCERTAIN',
  messageId: 'm1',
  about: 'Tilda, Quote',
  notBefore: '2026-03-04T09:00:00Z',
  attempts: 1,
  lastError: 'The connection broke.',
}
let server: ReturnType<typeof fakeServer>

beforeEach(() => {
  server = fakeServer()
  server.answers('GET', '/api/sources', [])
})
afterEach(() => {
  vi.restoreAllMocks()
  document.body.innerHTML = ''
})

describe('what somebody has to know of wherever they are', () => {
  it('asks about an answer that may have gone out', async () => {
    server.answers('GET', '/api/outbox', [STUCK])
    server.answers('POST', '/api/outbox/{id}/went-out', {
      commandId: 'c1',
      label: 'Noted',
      topics: ['OUTBOX'],
    })
    const page = await opened(Standing)
    expect(page.text()).toContain('Tilda, Quote: The connection broke.')
    await pressed(page, 'It went out')
    expect(server.sentTo('POST', '/api/outbox/{id}/went-out')[0]?.params).toMatchObject({
      path: { id: 'o1' },
    })
  })

  it('does not speak of sending where nothing is sent', async () => {
    server.answers('GET', '/api/outbox', [{ ...STUCK, kind: 'KEEP_DRAFT', state: 'FAILED' }])
    const page = await opened(Standing)
    expect(page.text()).toContain('Keeping the draft on the server, Tilda, Quote')
    expect(page.findAll('button').map((one) => one.text())).toEqual(['Try it again', 'Leave it'])
  })

  it('asks once about what failed for one reason', async () => {
    const task = {
      ...STUCK,
      kind: 'WRITE_TASK' as const,
      state: 'FAILED' as const,
      about: 'Berth plan',
    }
    server.answers('GET', '/api/outbox', [task, { ...task, id: 'o2', about: 'Cleats' }])
    server.answers('POST', '/api/outbox/{id}/give-up', {
      commandId: 'c1',
      label: 'Left',
      topics: ['OUTBOX'],
    })
    const page = await opened(Standing)
    expect(page.findAll('[data-test=stuck]')).toHaveLength(1)
    expect(page.text()).toContain('Writing into the task list, Berth plan and 1 more')
    await pressed(page, 'Leave them')
    await vi.waitFor(() => {
      expect(server.sentTo('POST', '/api/outbox/{id}/give-up')).toHaveLength(2)
    })
  })

  it('counts the answers that are about to go out, and nothing else that waits', async () => {
    server.answers('GET', '/api/outbox', [
      { ...STUCK, state: 'WAITING' },
      { ...STUCK, id: 'o2', state: 'WAITING', kind: 'ARCHIVE' },
    ])
    const page = await opened(Standing)
    expect(page.text()).toContain('One answer is about to go out.')
    expect(page.findAll('button')).toHaveLength(0)
  })
})
