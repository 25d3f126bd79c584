import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import WaysToAskSection from '@/settings/WaysToAskSection.vue'
import { fakeServer, opened } from '@/testing/fakeServer'

const WAY = {
  way: 'request.modal-you',
  example: 'Could you send me the list?',
  overruled: 3,
  unheard: false,
}
let server: ReturnType<typeof fakeServer>

beforeEach(() => {
  server = fakeServer()
  server.answers('GET', '/api/ways-to-ask', [
    WAY,
    {
      ...WAY,
      way: 'request.imperative',
      example: 'Send me the list.',
      overruled: 1,
      unheard: true,
    },
  ])
  server.answers('PUT', '/api/party-rules', { commandId: 'c', label: 'done', topics: [] })
})
afterEach(() => {
  vi.restoreAllMocks()
  document.body.innerHTML = ''
})

describe('ways to ask that misled', () => {
  it('are listed by an example, with how often they were wrong', async () => {
    const page = await opened(WaysToAskSection)
    const [first, second] = page.findAll('[data-test=way]')
    expect(first?.text()).toContain('as in “Could you send me the list?”')
    expect(first?.text()).toContain('wrong 3 times')
    expect(second?.text()).toContain('wrong once')
  })

  it('are taken for no ask, and heard again', async () => {
    const page = await opened(WaysToAskSection)
    const [first, second] = page.findAll('[data-test=way] button')
    await first?.trigger('click')
    await second?.trigger('click')
    await vi.waitFor(() => {
      expect(server.sentTo('PUT', '/api/party-rules')).toHaveLength(2)
    })
    expect(server.sentTo('PUT', '/api/party-rules').map((one) => one.body)).toEqual([
      { party: 'way:request.modal-you', asks: 'NEVER', replyDays: null, pastIntake: false },
      { party: 'way:request.imperative', asks: null, replyDays: null, pastIntake: false },
    ])
  })
})
