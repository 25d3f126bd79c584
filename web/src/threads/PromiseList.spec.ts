import { flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { PromiseView } from '@/api/client'
import { fakeServer, opened, pressedKey } from '@/testing/fakeServer'
import PromiseList from '@/threads/PromiseList.vue'

const DONE = { commandId: 'c1', label: 'Done', topics: [] }

function promise(id: string, more: Partial<PromiseView> = {}): PromiseView {
  return {
    threadId: `t-${id}`,
    messageId: `m-${id}`,
    promisedIn: `p-${id}`,
    subject: 'Berth list',
    to: 'Tilda Brandt',
    words: 'I’ll send it on Tuesday.',
    asked: 'Could you send it?',
    at: '2026-03-02T09:00:00Z',
    byDay: '2026-03-03',
    byTime: null,
    late: true,
    due: false,
    followUps: 0,
    title: 'Send it (for Tilda)',
    holding: 'Hello Tilda, it takes longer.',
    ...more,
  }
}

let server: ReturnType<typeof fakeServer>

beforeEach(() => {
  server = fakeServer()
  server.answers('GET', '/api/promises', {
    open: [promise('a'), promise('b', { followUps: 1, byDay: null, late: false, words: '' })],
    newDay: '2026-03-05',
    now: '2026-03-04T10:00:00Z',
  })
  server.answers('POST', '/api/messages/{messageId}/follow-ups/{id}', DONE)
  server.answers('POST', '/api/messages/{id}/answer', DONE)
  server.answers('POST', '/api/threads/decisions', DONE)
})
afterEach(() => {
  vi.restoreAllMocks()
  localStorage.clear()
  document.body.innerHTML = ''
})

describe('what I promised', () => {
  it('says what is broken, and what has no day', async () => {
    const page = await opened(PromiseList, { active: true })
    expect(page.text()).toContain('broken: Tue 3 Mar')
    expect(page.text()).toContain('no day')
    expect(page.text()).toContain('yes to “Could you send it?”')
  })

  it('becomes a follow-up with one key, where there is none', async () => {
    const page = await opened(PromiseList, { active: true })
    await pressedKey('f')
    const sent = server.sentTo('POST', '/api/messages/{messageId}/follow-ups/{id}')
    expect(sent).toHaveLength(1)
    expect(sent[0]?.body).toMatchObject({
      title: 'Send it (for Tilda)',
      replyDay: '2026-03-03',
      firm: true,
    })
    await pressedKey('ArrowDown')
    await pressedKey('ArrowDown')
    await pressedKey('f')
    expect(server.sentTo('POST', '/api/messages/{messageId}/follow-ups/{id}')).toHaveLength(1)
    expect(page.find('[data-test=promise-follow-up]').exists()).toBe(false)
  })

  it('is put off with a drafted word, which is kept until it is sent', async () => {
    const page = await opened(PromiseList, { active: true })
    await pressedKey('l')
    await page.find('textarea').setValue('Hello Tilda, on Thursday.')
    await page.find('[data-test=holding]').trigger('keydown', { key: 'Escape' })
    await pressedKey('l')
    expect(page.find('textarea').element.value).toBe('Hello Tilda, on Thursday.')
    await page.find('[data-test=holding]').trigger('submit')
    await flushPromises()
    expect(server.sentTo('POST', '/api/messages/{id}/answer')[0]?.body).toMatchObject({
      text: 'Hello Tilda, on Thursday.',
    })
    expect(page.find('textarea').exists()).toBe(false)
  })

  it('was kept elsewhere', async () => {
    await opened(PromiseList, { active: true })
    await pressedKey('k')
    expect(server.sentTo('POST', '/api/threads/decisions')[0]?.body).toMatchObject({
      threadIds: ['t-a'],
      choice: 'CLOSE',
      reason: 'DONE_ELSEWHERE',
    })
  })
})
