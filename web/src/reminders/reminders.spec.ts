import { flushPromises, mount } from '@vue/test-utils'
import { VueQueryPlugin } from '@tanstack/vue-query'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { createMemoryHistory, createRouter } from 'vue-router'
import type { DueReminder } from '@/api/client'
import { queryClient } from '@/api/queries'
import { notify, untold } from '@/reminders/notify'
import ReminderShelf from '@/reminders/ReminderShelf.vue'
import { heldBack } from '@/reminders/words'
import { fakeServer } from '@/testing/fakeServer'

const DUE: DueReminder = {
  id: 'r1',
  followUpId: 'f1',
  title: 'Send the plan',
  answered: true,
  version: 3,
  shownAt: '2026-03-04T10:00:00Z',
}

describe('what is held back', () => {
  it('is said with the time from which it counts', () => {
    expect(heldBack(null)).toBe('')
    expect(heldBack({ count: 0, since: '2026-03-04T09:30:00', next: null })).toBe('')
    expect(heldBack({ count: 2, since: '2026-03-04T09:30:00', next: '2026-03-04T14:00:00' })).toBe(
      '2 more have come since 09:30, counted from 14:00',
    )
    expect(heldBack({ count: 1, since: '2026-03-04T09:30:00', next: null })).toBe(
      '1 more has come while you work',
    )
  })
})

describe('a notification', () => {
  const told: string[] = []

  beforeEach(() => {
    localStorage.clear()
    told.length = 0
    class Told {
      static permission = 'granted'
      onclick: (() => void) | undefined
      constructor(title: string) {
        told.push(title)
      }
    }
    vi.stubGlobal('Notification', Told)
  })
  afterEach(() => {
    vi.unstubAllGlobals()
  })

  it('comes once in a browser, whichever of its tabs is first', async () => {
    await Promise.all([notify([DUE], [], () => undefined), notify([DUE], [], () => undefined)])
    expect(told).toEqual(['Send the plan'])
    await notify([{ ...DUE, shownAt: '2026-03-04T10:10:00Z' }], [], () => undefined)
    expect(told).toHaveLength(2)
  })

  it('is not lost to what lies in the way', () => {
    localStorage.setItem('reminders-told', '{broken')
    expect(untold(['a'])).toEqual(['a'])
    expect(untold(['a', 'b'])).toEqual(['b'])
  })
})

describe('the shelf of reminders', () => {
  async function shown(due: DueReminder[]) {
    const server = fakeServer()
    server.answers('GET', '/api/reminders', { due, meetings: [] })
    const done = { commandId: 'c', label: 'Done', topics: [] }
    server.answers('POST', '/api/follow-ups/{id}/state', done)
    server.answers('POST', '/api/reminders/{id}/put-off', done)
    server.answers('POST', '/api/reminders/{id}/settle', done)
    const router = createRouter({
      history: createMemoryHistory(),
      routes: [{ path: '/:all(.*)', component: { template: '<p/>' } }],
    })
    const page = mount(ReminderShelf, {
      global: { plugins: [router, [VueQueryPlugin, { queryClient }]] },
    })
    await flushPromises()
    return { server, page }
  }

  it('is not there when nothing has come up', async () => {
    const { page } = await shown([])
    expect(page.find('[data-test=reminders]').exists()).toBe(false)
  })

  it('lets one be done, put off or seen to', async () => {
    const { server, page } = await shown([DUE])
    expect(page.text()).toContain('somebody has answered')
    await page.find('[data-test=reminder-done]').trigger('click')
    expect(server.sentTo('POST', '/api/follow-ups/{id}/state').at(-1)?.params).toMatchObject({
      path: { id: 'f1' },
      query: { state: 'DONE', version: 3 },
    })
    await page.find('[aria-label="Remind me again in 1 h"]').trigger('click')
    expect(server.sentTo('POST', '/api/reminders/{id}/put-off').at(-1)?.body).toEqual({
      words: 'in 1 h',
    })
    await page.find('[data-test=reminder-seen]').trigger('click')
    expect(server.sentTo('POST', '/api/reminders/{id}/settle')).toHaveLength(1)
    page.unmount()
  })

  it('shows three, and the others when asked', async () => {
    const { page } = await shown([1, 2, 3, 4, 5].map((n) => ({ ...DUE, id: `r${n}` })))
    expect(page.findAll('[data-test=reminder]')).toHaveLength(3)
    expect(page.text()).toContain('and 2 more')
    page.unmount()
  })
})
