import { flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import WaitPart from '@/followups/details/WaitPart.vue'
import { comeText, waitingText } from '@/followups/waiting'
import { lineOf } from '@/testing/day'
import { fakeServer, opened } from '@/testing/fakeServer'

const BOB = { name: 'Bob Hale', address: 'bob@hale.example' }
let server: ReturnType<typeof fakeServer>

beforeEach(() => {
  server = fakeServer()
  server.answers('POST', '/api/follow-ups/{id}/waiting/read', {
    person: BOB,
    threadId: null,
    until: '2026-03-09',
    words: 'until Bob writes, at the latest Mon 9 Mar',
  })
  server.answers('PUT', '/api/follow-ups/{id}/waiting', {
    commandId: 'c1',
    label: 'Done',
    topics: [],
  })
})
afterEach(() => {
  vi.restoreAllMocks()
  document.body.innerHTML = ''
})

describe('what a follow-up waits for', () => {
  it('is said in words', () => {
    expect(waitingText({ person: BOB, threadId: null, until: '2026-03-09' })).toBe(
      'until Bob writes, at the latest Mon 9 Mar',
    )
    expect(waitingText({ person: null, threadId: 't', until: null })).toBe(
      'until somebody answers in the thread',
    )
    expect(waitingText({ person: null, threadId: null, until: '2026-03-09' })).toBe(
      'until Mon 9 Mar',
    )
    const waiting = { person: BOB, threadId: null, until: '2026-03-09', since: '', needed: [] }
    expect(comeText({ ...waiting, come: null })).toBe('Mon 9 Mar has come')
    expect(
      comeText({ ...waiting, come: { messageId: 'm', from: 'Bob', words: 'Here.', at: '' } }),
    ).toBe('Bob: “Here.”')
  })

  it('is typed, and set as it was understood', async () => {
    const page = await opened(WaitPart, { line: lineOf('a', { version: 3 }) })
    await page.find('[data-test=wait]').trigger('click')
    await flushPromises()
    await page.find('[data-test=wait-typed]').setValue('until bob, latest monday')
    await page.find('[data-test=wait-typed]').trigger('keydown', { key: 'Enter' })
    await flushPromises()
    expect(server.sentTo('PUT', '/api/follow-ups/{id}/waiting')[0]?.body).toEqual({
      person: BOB,
      threadId: null,
      until: '2026-03-09',
    })
  })

  it('is nothing any more', async () => {
    const waiting = {
      person: BOB,
      threadId: null,
      until: null,
      since: '2026-03-04T10:00:00Z',
      needed: [],
      come: null,
    }
    const page = await opened(WaitPart, { line: lineOf('a', { waiting }) })
    expect(page.text()).toContain('waits until Bob writes')
    await page.find('[data-test=wait]').trigger('click')
    await flushPromises()
    await page.find('[data-test=wait-no-longer]').trigger('click')
    await flushPromises()
    expect(server.sentTo('PUT', '/api/follow-ups/{id}/waiting')[0]?.body).toEqual({
      person: null,
      threadId: null,
      until: null,
    })
  })
})
