import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { WebhookView } from '@/api/client'
import WebhooksSection from '@/settings/WebhooksSection.vue'
import { fakeServer, opened, pressed, submitted } from '@/testing/fakeServer'

const HOOK: WebhookView = {
  id: 'w1',
  name: 'Board',
  url: 'https://board.example/hook',
  only: ['INTAKE'],
  lastTakenAt: null,
  problem: '',
  attempts: 0,
  nextAt: null,
  stopped: false,
}
let server: ReturnType<typeof fakeServer>

beforeEach(() => {
  server = fakeServer()
  server.answers('GET', '/api/webhooks', [HOOK])
})
afterEach(() => {
  vi.restoreAllMocks()
  document.body.innerHTML = ''
})

describe('webhooks', () => {
  it('show the secret once, when one is added', async () => {
    server.answers('POST', '/api/webhooks', { webhook: HOOK, secret: 'whsec_x' })
    const page = await opened(WebhooksSection)
    await page.find('input[name=webhook-name]').setValue('Board')
    await page.find('input[name=webhook-url]').setValue('https://board.example/hook')
    await page.find('select[name=webhook-only]').setValue('2')
    await submitted(page)
    expect(server.sentTo('POST', '/api/webhooks')[0]?.body).toEqual({
      name: 'Board',
      url: 'https://board.example/hook',
      only: ['FOLLOW_UPS'],
    })
    expect(page.find<HTMLInputElement>('[data-test=secret]').element.value).toBe('whsec_x')
    await pressed(page, 'I have kept it')
    expect(page.find('[data-test=secret]').exists()).toBe(false)
  })

  it('say at the address what is wrong with it', async () => {
    server.refuses('POST', '/api/webhooks', 'x', { url: 'It has to begin with https://.' })
    const page = await opened(WebhooksSection)
    await submitted(page)
    expect(page.text()).toContain('It has to begin with https://.')
  })

  it('tell why nothing is sent any more, and go on', async () => {
    server.answers('GET', '/api/webhooks', [
      { ...HOOK, problem: 'board.example answered with the status 410.', stopped: true },
    ])
    server.answers('POST', '/api/webhooks/{id}/go-on', {
      commandId: 'c1',
      label: 'Goes on',
      topics: [],
    })
    server.answers('POST', '/api/webhooks/{id}/try', { problem: '' })
    const page = await opened(WebhooksSection)
    expect(page.text()).toContain('status 410. Nothing is sent until you let it go on.')
    await pressed(page, 'Send a trial')
    expect(page.text()).toContain('It was taken.')
    await pressed(page, 'Go on')
    expect(server.sentTo('POST', '/api/webhooks/{id}/go-on')).toHaveLength(1)
  })
})
