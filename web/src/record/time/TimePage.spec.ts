import { flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { SpentLine } from '@/api/client'
import TimePage from '@/record/time/TimePage.vue'
import { fakeServer, opened, pressedKey } from '@/testing/fakeServer'

const { push, replace } = vi.hoisted(() => ({ push: vi.fn(), replace: vi.fn() }))
vi.mock('vue-router', () => ({
  useRoute: () => ({ query: { from: '2026-03-02', to: '2026-03-08' }, params: { part: 'time' } }),
  useRouter: () => ({ push, replace }),
}))

const DONE = { commandId: 'c1', label: 'Done', topics: [] }

function line(more: Partial<SpentLine>): SpentLine {
  return {
    day: '2026-03-02',
    stints: ['s1'],
    followUpId: 'f1',
    title: 'Varnish the gig',
    categoryId: null,
    category: '',
    person: '',
    from: '2026-03-02T09:00:00',
    to: '2026-03-02T09:45:00',
    minutes: 45,
    rounded: 45,
    amount: null,
    running: false,
    corrected: false,
    ...more,
  }
}

function spent(lines: SpentLine[]) {
  const minutes = lines.reduce((sum, each) => sum + each.minutes, 0)
  return {
    from: '2026-03-02',
    to: '2026-03-08',
    groups: lines.length
      ? [{ key: 'd', title: 'Mon 2 Mar', lines, minutes, rounded: minutes, amount: null }]
      : [],
    minutes,
    rounded: minutes,
    amount: null,
    currency: '',
    isRounded: false,
  }
}
let server: ReturnType<typeof fakeServer>

beforeEach(() => {
  server = fakeServer()
  server.answers('GET', '/api/time', spent([line({}), line({ stints: ['s2'], title: 'Oil it' })]))
  server.answers('GET', '/api/time/running', { clock: null })
  server.answers('GET', '/api/categories', [])
  server.answers('DELETE', '/api/time/entries/{id}', DONE)
  server.answers('PUT', '/api/time/entries/{id}', DONE)
})
afterEach(() => {
  vi.restoreAllMocks()
  push.mockClear()
  document.body.innerHTML = ''
})

describe('the time that was spent', () => {
  it('is summed, and pointed at by keys', async () => {
    const page = await opened(TimePage)
    await pressedKey('ArrowDown')
    await pressedKey('ArrowDown')
    await pressedKey('Enter')
    expect(push).toHaveBeenCalledWith({ name: 'follow-ups', params: { id: 'f1' } })
    expect(page.find('[data-test=time-bar]').text()).toContain('Correct')
  })

  it('is put right: a length that is none is said, a right one is kept', async () => {
    const page = await opened(TimePage)
    await pressedKey('ArrowDown')
    await page.find('[data-test=time-correct]').trigger('click')
    const length = page.find('[data-test=time-length]')
    await length.setValue('nothing')
    await page.find('[data-test=time-form]').trigger('submit')
    expect(page.text()).toContain('“nothing” is no length')
    expect(server.sentTo('PUT', '/api/time/entries/{id}')).toHaveLength(0)
    await length.setValue('30')
    await page.find('[data-test=time-form]').trigger('submit')
    await flushPromises()
    expect(server.sentTo('PUT', '/api/time/entries/{id}')[0]).toMatchObject({
      params: { path: { id: 's1' } },
      body: { day: '2026-03-02', from: '09:00', minutes: 30 },
    })
    expect(page.find('[data-test=time-form]').exists()).toBe(false)
  })

  it('that was none is taken away by its key', async () => {
    await opened(TimePage)
    await pressedKey('ArrowDown')
    await pressedKey('x')
    expect(server.sentTo('DELETE', '/api/time/entries/{id}')[0]?.params).toMatchObject({
      path: { id: 's1' },
    })
  })

  it('of several times taken together is not put right as one', async () => {
    server.answers('GET', '/api/time', spent([line({ stints: ['s1', 's2'] })]))
    const page = await opened(TimePage)
    await pressedKey('ArrowDown')
    expect(page.find('[data-test=time-correct]').exists()).toBe(false)
    expect(page.text()).toContain('taken together by the rounding')
  })

  it('where there is none says how it comes to be, once', async () => {
    server.answers('GET', '/api/time', spent([]))
    const page = await opened(TimePage)
    expect(page.text()).toContain('No time was spent in these days')
    expect(page.find('[data-test=time-bar]').exists()).toBe(false)
    await page.find('[data-test=time-add-first]').trigger('click')
    expect(page.find('[data-test=follow-up-finder]').exists()).toBe(true)
  })
})
