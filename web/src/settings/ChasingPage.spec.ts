import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import ChasingPage from '@/settings/ChasingPage.vue'
import { fakeServer, opened, submitted } from '@/testing/fakeServer'

let server: ReturnType<typeof fakeServer>

beforeEach(() => {
  server = fakeServer()
  server.answers('GET', '/api/settings/chasing', {
    first: 3,
    then: 2,
    afterPromise: 1,
    firstText: 'Hello {name}',
    secondText: 'Again',
    lastText: 'Last',
  })
  server.answers('PUT', '/api/settings/chasing', { commandId: 'c1', label: 'Done', topics: [] })
})
afterEach(() => {
  vi.restoreAllMocks()
  document.body.innerHTML = ''
})

describe('the settings of chasing', () => {
  it('keep days and words', async () => {
    const page = await opened(ChasingPage)
    await page.find('[data-test=first]').setValue('5')
    await page.find('[data-test=secondText]').setValue('Dear {name}, once more: {asks}')
    await submitted(page)
    expect(server.sentTo('PUT', '/api/settings/chasing')[0]?.body).toEqual({
      first: 5,
      then: 2,
      afterPromise: 1,
      firstText: 'Hello {name}',
      secondText: 'Dear {name}, once more: {asks}',
      lastText: 'Last',
    })
    expect(page.text()).toContain('Saved.')
  })
})
