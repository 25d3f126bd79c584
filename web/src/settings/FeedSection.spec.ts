import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import FeedSection from '@/settings/FeedSection.vue'
import { fakeServer, opened, pressed } from '@/testing/fakeServer'

let server: ReturnType<typeof fakeServer>

beforeEach(() => {
  server = fakeServer()
  server.answers('POST', '/api/feed', { commandId: 'c1', label: 'Done', topics: [] })
  server.answers('DELETE', '/api/feed', { commandId: 'c2', label: 'Done', topics: [] })
})
afterEach(() => {
  vi.restoreAllMocks()
  document.body.innerHTML = ''
})

describe('the calendar that is given out', () => {
  it('is none until one is made', async () => {
    server.answers('GET', '/api/feed', { path: null })
    const page = await opened(FeedSection)
    expect(page.find('[data-test=feed-address]').exists()).toBe(false)
    await pressed(page, 'Make an address')
    expect(server.sentTo('POST', '/api/feed')).toHaveLength(1)
  })

  it('shows its address, gets a new one, and ends', async () => {
    server.answers('GET', '/api/feed', { path: '/feed/abc.ics' })
    const page = await opened(FeedSection)
    expect(page.find<HTMLInputElement>('[data-test=feed-address]').element.value).toMatch(
      /\/feed\/abc\.ics$/,
    )
    await pressed(page, 'New address')
    await pressed(page, 'Give it out no more')
    expect(server.sentTo('DELETE', '/api/feed')).toHaveLength(1)
  })
})
