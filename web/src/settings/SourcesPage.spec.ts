import { flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { SourceView } from '@/api/client'
import { KINDS } from '@/settings/kinds/kinds'
import SourcesPage from '@/settings/SourcesPage.vue'
import { fakeServer, opened } from '@/testing/fakeServer'

const CHAT: SourceView = {
  id: 's2',
  kind: 'CHAT',
  name: 'Harbour chat',
  address: '@ines:quay.example',
  status: 'LIVE',
  statusText: '',
  progressDone: 0,
  progressTotal: 0,
  messageCount: 26,
  addedAt: '2026-03-02T09:00:00Z',
  daysBack: 90,
  archiveRule: 'AT_ONCE',
  version: 3,
}
const MAIL: SourceView = {
  ...CHAT,
  id: 's1',
  kind: 'MAIL',
  name: 'Ines',
  address: 'ines@x.example',
}
const FILES: SourceView = { ...CHAT, id: 's3', kind: 'FILES', name: 'Files', status: 'IDLE' }

let server: ReturnType<typeof fakeServer>
beforeEach(() => {
  server = fakeServer()
  server.answers('GET', '/api/sources', [MAIL, CHAT, FILES])
  server.answers('GET', '/api/sources/chat/{id}', { homeserver: 'https://quay.example' })
  server.answers('GET', '/api/sources/{id}/rooms', [
    { id: '!r', name: 'Harbour crew', direct: false, people: 5 },
  ])
  server.answers('GET', '/api/sources/mail/{id}', {
    imap: { host: 'imap.x.example', port: 993, encryption: 'TLS' },
    smtp: { host: 'smtp.x.example', port: 465, encryption: 'TLS' },
    user: 'ines',
    fromName: 'Ines',
    inbox: 'INBOX',
    sent: 'Sent',
    archive: null,
    drafts: null,
    pinnedCertificate: null,
  })
})
afterEach(() => {
  vi.restoreAllMocks()
  document.body.innerHTML = ''
})

async function settingsOf(place: number) {
  const page = await opened(SourcesPage)
  await page.findAll('[data-test=source]')[place]?.find('[aria-expanded]').trigger('click')
  await flushPromises()
  return page
}

const value = (page: Awaited<ReturnType<typeof settingsOf>>, name: string) =>
  page.find<HTMLInputElement>(`[name=${name}]`).element.value

describe('the sources', () => {
  it('can be of each kind that has a folder', async () => {
    const page = await opened(SourcesPage)
    expect(KINDS.map((kind) => kind.kind)).toEqual(['MAIL', 'CHAT', 'CALENDARS'])
    expect(page.findAll('[data-test^=add-]').map((button) => button.text())).toEqual([
      'Add a mail account',
      'Add a chat account',
      'Add calendars',
    ])
    expect(page.findAll('[data-test=source]')[2]?.find('[aria-expanded]').exists()).toBe(false)
  })

  it('show what is set of a mail account, without its password', async () => {
    const page = await settingsOf(0)
    expect(value(page, 'imap-host')).toBe('imap.x.example')
    expect(value(page, 'user')).toBe('ines')
    expect(value(page, 'password')).toBe('')
  })

  it('show what is set of a chat account and leave its rooms', async () => {
    const page = await settingsOf(1)
    expect(value(page, 'homeserver')).toBe('https://quay.example')
    expect(value(page, 'archiveRule')).toBe('AT_ONCE')
    const rooms = page.find<HTMLDetailsElement>('[data-test=rooms]')
    rooms.element.open = true
    await rooms.trigger('toggle')
    await flushPromises()
    server.answers('POST', '/api/sources/{id}/rooms/leave', {
      commandId: 'c1',
      label: 'Left',
      topics: [],
    })
    await rooms.find('button').trigger('click')
    await flushPromises()
    expect(server.sentTo('POST', '/api/sources/{id}/rooms/leave')[0]?.params).toMatchObject({
      path: { id: 's2' },
      query: { room: '!r' },
    })
  })
})
