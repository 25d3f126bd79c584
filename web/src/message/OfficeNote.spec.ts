import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import OfficeNote from '@/message/OfficeNote.vue'
import { fakeServer, opened, pressed } from '@/testing/fakeServer'

const DONE = { commandId: 'c1', label: 'Done', topics: [] }
let server: ReturnType<typeof fakeServer>

const office = (more: object) => {
  server.answers('GET', '/api/messages/{id}/office', {
    office: {
      address: 'office@merrowquay.example',
      readers: ['Gus Ferrant'],
      state: 'FREE' as const,
      by: null,
      at: null,
      mine: false,
      writing: [],
      ...more,
    },
  })
  return opened(OfficeNote, { messageId: 'm1' })
}

beforeEach(() => {
  server = fakeServer()
  server.answers('PUT', '/api/messages/{id}/office', DONE)
  server.answers('DELETE', '/api/messages/{id}/office', DONE)
})
afterEach(() => {
  vi.restoreAllMocks()
  document.body.innerHTML = ''
})

describe('a message in a mailbox that several read', () => {
  it('says who reads it too, and is taken with a word', async () => {
    const page = await office({})
    expect(page.text()).toContain('is read by Gus Ferrant too')
    await pressed(page, 'I see to it')
    expect(server.sentTo('PUT', '/api/messages/{id}/office')).toHaveLength(1)
  })

  it('warns of somebody who is writing', async () => {
    const page = await office({ writing: ['Gus Ferrant'] })
    expect(page.find('[data-test=writing]').text()).toBe('Gus Ferrant is writing an answer.')
  })

  it('is let go by whoever took it', async () => {
    const page = await office({ state: 'TAKEN', by: 'Ines', mine: true })
    await pressed(page, 'Let it go')
    expect(server.sentTo('DELETE', '/api/messages/{id}/office')).toHaveLength(1)
  })

  it('says who has answered, and offers nothing then', async () => {
    const page = await office({
      state: 'ANSWERED',
      by: 'Gus Ferrant',
      at: '2026-03-04T10:00:00Z',
    })
    expect(page.text()).toContain('Gus Ferrant has answered it')
    expect(page.findAll('button')).toHaveLength(0)
  })

  it('is nothing where nobody else reads the mailbox', async () => {
    server.answers('GET', '/api/messages/{id}/office', { office: null })
    const page = await opened(OfficeNote, { messageId: 'm1' })
    expect(page.find('[data-test=office]').exists()).toBe(false)
  })
})
