import { flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { loadGuide } from '@/api/guide'
import Guide from '@/app/Guide.vue'
import { GUIDE_STEPS } from '@/app/guideSteps'
import { fakeServer, opened, pressed } from '@/testing/fakeServer'

const push = vi.fn()
vi.mock('vue-router', () => ({
  useRoute: () => ({ path: '/today' }),
  useRouter: () => ({ push }),
}))
let server: ReturnType<typeof fakeServer>

beforeEach(() => {
  server = fakeServer()
  server.answers('PUT', '/api/guide', undefined)
})
afterEach(() => {
  vi.restoreAllMocks()
  push.mockClear()
  document.body.innerHTML = ''
})

describe('The first sitting', () => {
  it('asks first, goes from view to view, and is sent away for good', async () => {
    server.answers('GET', '/api/guide', { over: false })
    await loadGuide()
    const page = await opened(Guide)
    expect(page.text()).toContain('New here?')
    await pressed(page, 'Show me')
    expect(push).toHaveBeenLastCalledWith('/settings/sources')
    expect(page.text()).toContain(`1 of ${GUIDE_STEPS.length}`)
    for (let step = 2; step <= GUIDE_STEPS.length; step++) {
      await pressed(page, 'Next')
    }
    expect(page.text()).not.toContain('Next')
    await pressed(page, 'Back')
    await pressed(page, 'I know my way')
    expect(page.find('[data-test=guide]').exists()).toBe(false)
    expect(server.sentTo('PUT', '/api/guide')[0]?.body).toEqual({ over: true })
  })

  it('is silent where it is over, or where nobody answers', async () => {
    server.answers('GET', '/api/guide', { over: true })
    await loadGuide()
    const page = await opened(Guide)
    expect(page.find('[data-test=guide]').exists()).toBe(false)
    server.refuses('GET', '/api/guide', 'x')
    await loadGuide()
    await flushPromises()
    expect(page.find('[data-test=guide]').exists()).toBe(false)
  })
})
