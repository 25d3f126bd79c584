import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import WaysToAskSection from '@/settings/WaysToAskSection.vue'
import { fakeServer, opened, pressed } from '@/testing/fakeServer'

const WAY = {
  way: 'request.modal-you',
  example: 'Could you send me the list?',
  forms: 4,
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
      forms: 1,
      overruled: 1,
      unheard: true,
    },
  ])
  server.answers('PUT', '/api/ways-to-ask', { commandId: 'c', label: 'done', topics: [] })
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
    expect(first?.text()).toContain('and 3 more forms of request.modal-you')
    expect(first?.text()).toContain('wrong 3 times')
    expect(second?.text()).not.toContain('more forms')
    expect(second?.text()).toContain('wrong once')
  })

  it('say of one more form that it is one', async () => {
    server.answers('GET', '/api/ways-to-ask', [{ ...WAY, forms: 2 }])
    const page = await opened(WaysToAskSection)
    expect(page.find('[data-test=way]').text()).toContain('and one more form of request.modal-you')
  })

  it('are taken for no ask, and heard again', async () => {
    const page = await opened(WaysToAskSection)
    const [first, second] = page.findAll('[data-test=way] button')
    await first?.trigger('click')
    await second?.trigger('click')
    await vi.waitFor(() => {
      expect(server.sentTo('PUT', '/api/ways-to-ask')).toHaveLength(2)
    })
    expect(server.sentTo('PUT', '/api/ways-to-ask').map((one) => one.body)).toEqual([
      { way: 'request.modal-you', heard: false },
      { way: 'request.imperative', heard: true },
    ])
  })

  it('say how there come to be some', async () => {
    server.answers('GET', '/api/ways-to-ask', [])
    expect((await opened(WaysToAskSection)).text()).toContain('Nothing yet. In Intake')
  })

  it('say when they cannot be loaded, and are loaded again', async () => {
    server.refuses('GET', '/api/ways-to-ask', 'The application does not answer.')
    const page = await opened(WaysToAskSection)
    expect(page.text()).toContain('The application does not answer.')
    server.answers('GET', '/api/ways-to-ask', [WAY])
    await pressed(page, 'Try again')
    expect(page.findAll('[data-test=way]')).toHaveLength(1)
  })
})
