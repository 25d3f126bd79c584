import { flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { RoundLine, WalkView } from '@/api/client'
import { queryClient } from '@/api/queries'
import RoundView from '@/round/RoundView.vue'
import { fakeServer, opened, pressedKey } from '@/testing/fakeServer'

const push = vi.fn()
vi.mock('vue-router', () => ({ useRoute: () => ({ query: {} }), useRouter: () => ({ push }) }))

const DONE = { commandId: 'c1', label: 'Done', topics: [] }

function line(id: string, name: string): RoundLine {
  return {
    key: `f ${id}`,
    kind: 'FOLLOW_UP',
    id,
    name,
    who: '',
    what: '',
    title: name,
    at: null,
    day: null,
    threadId: null,
    messageId: null,
    categoryId: null,
    count: 0,
    version: 1,
  }
}

const WALK: WalkView = {
  underWay: true,
  step: 'UNDATED',
  startedAt: '2026-03-04T09:00:00Z',
  lastFinishedAt: null,
  steps: [
    { step: 'INTAKE', left: 0, kept: 0 },
    { step: 'UNDATED', left: 2, kept: 0 },
    { step: 'WITH_ME', left: 0, kept: 0 },
  ],
  forgotten: 2,
}
let server: ReturnType<typeof fakeServer>

beforeEach(() => {
  server = fakeServer()
  server.answers('GET', '/api/round', WALK)
  server.answers('GET', '/api/round/lines', {
    lines: [line('1', 'Polish the bell'), line('2', 'Paint the buoy')],
  } as never)
  server.answers('GET', '/api/categories', [])
  server.answers('POST', '/api/round/kept', DONE)
  server.answers('PUT', '/api/round/step', DONE)
  server.answers('POST', '/api/follow-ups/{id}/state', DONE)
})
afterEach(() => {
  vi.restoreAllMocks()
  push.mockClear()
  document.body.innerHTML = ''
})

describe('the weekly round', () => {
  it('goes on where it was left, and begins where none is under way', async () => {
    const page = await opened(RoundView)
    expect(page.text()).toContain('step 2 of 3')
    server.answers('GET', '/api/round', { ...WALK, underWay: false })
    await queryClient.invalidateQueries()
    await flushPromises()
    expect(page.find('[data-test=round-start]').exists()).toBe(true)
  })

  it('lets a decided line go at once, so that the next key is about the next one', async () => {
    const page = await opened(RoundView)
    const named = () => page.find('[role=group]').text()
    expect(named()).toContain('Polish the bell')
    const stays = page.find('[data-test=round-stays]')
    await stays.trigger('click')
    await flushPromises()
    expect(server.sentTo('POST', '/api/round/kept')[0]?.body).toEqual({
      key: 'f 1',
      name: 'Polish the bell',
    })
    expect(named()).toContain('Paint the buoy')
  })

  it('has a line back that could not be decided', async () => {
    server.refuses('POST', '/api/round/kept', 'No round is under way. Begin one.')
    const page = await opened(RoundView)
    await page.find('[data-test=round-stays]').trigger('click')
    await flushPromises()
    expect(page.text()).toContain('2 left')
    await pressedKey('ArrowUp')
    expect(page.find('[role=group]').text()).toContain('Polish the bell')
  })

  it('says to the server which step is looked at, and stops at the ends', async () => {
    const page = await opened(RoundView)
    await pressedKey('ArrowRight')
    expect(page.text()).toContain('step 3 of 3')
    await pressedKey('ArrowRight')
    expect(server.sentTo('PUT', '/api/round/step').map((each) => each.body)).toEqual([
      { step: 'WITH_ME' },
    ])
  })
})
