import { VueQueryPlugin } from '@tanstack/vue-query'
import { flushPromises, mount, type VueWrapper } from '@vue/test-utils'
import { afterEach, describe, expect, it } from 'vitest'
import { createMemoryHistory, createRouter } from 'vue-router'
import type { IntakeLine, IntakeView as Intake } from '@/api/client'
import { queryClient } from '@/api/queries'
import IntakeView from '@/intake/IntakeView.vue'
import { fakeServer } from '@/testing/fakeServer'

function line(id: string, changed: Partial<IntakeLine> = {}): IntakeLine {
  return {
    id,
    threadId: `thread of ${id}`,
    heap: 'TO_READ',
    channel: 'CHAT',
    from: `Writer ${id}`,
    about: `Words of ${id}`,
    subjectBeside: '',
    sentAt: '2026-03-02T09:00:00Z',
    waitingWorkingMinutes: 5,
    source: 'Chat',
    room: 'Harbour crew',
    roomId: '!crew',
    party: id,
    list: false,
    hasFiles: false,
    replyDay: null,
    replyTime: null,
    replyFirm: false,
    late: false,
    putOffUntil: null,
    ...changed,
  }
}

function intake(lines: IntakeLine[]): Intake {
  return { total: lines.length, counts: {}, lines, putOff: [], quickChoices: [], heldBack: null }
}

async function opened(lines: IntakeLine[], at: string) {
  const server = fakeServer()
  server.answers('GET', '/api/intake', intake(lines))
  server.answers('POST', '/api/intake/decisions', { commandId: 'c', label: 'Decided', topics: [] })
  const router = createRouter({
    history: createMemoryHistory(),
    routes: [{ path: '/intake/:id?', name: 'intake', component: IntakeView }],
  })
  await router.push(at)
  const page = mount(IntakeView, {
    attachTo: document.body,
    global: { plugins: [router, [VueQueryPlugin, { queryClient }]] },
  })
  await flushPromises()
  return { page, router, server }
}

async function press(key: string): Promise<void> {
  document.body.dispatchEvent(
    new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }),
  )
  await flushPromises()
}

const talk = ['a', 'b', 'c'].map((id) => line(id))
/** How many rows the list has, of which a page without a size draws only the current one. */
const shown = (page: VueWrapper) => page.get('[aria-current=true]').attributes('aria-setsize')
const folds = (page: VueWrapper) => page.findAll('[data-test=unfold]').length

describe('Intake', () => {
  afterEach(() => {
    document.body.innerHTML = ''
  })

  it('decides what one room said as one', async () => {
    const { page, server } = await opened(talk, '/intake/a')
    expect(folds(page)).toBe(1)
    expect(page.get('[data-test=several]').text()).toContain('3 messages')
    await press('n')
    expect(server.sentTo('POST', '/api/intake/decisions').at(-1)?.body).toMatchObject({
      messageIds: ['a', 'b', 'c'],
      decision: 'NOTHING',
    })
    page.unmount()
  })

  it('shows each and folds them again by the arrows', async () => {
    const { page } = await opened(talk, '/intake/a')
    await press('ArrowRight')
    expect(shown(page)).toBe('3')
    expect(page.find('[data-test=several]').exists()).toBe(false)
    await press('ArrowLeft')
    expect(folds(page)).toBe(1)
    page.unmount()
  })

  it('decides nothing unseen: what comes to a fold that is open unfolds it', async () => {
    const asks = ['a', 'b', 'c'].map((id) => line(id, { heap: 'ASKS_YOU' }))
    const { page } = await opened(asks, '/intake/a')
    expect(folds(page)).toBe(1)
    queryClient.setQueryData(['intake'], intake([...asks, line('new', { heap: 'ASKS_YOU' })]))
    await flushPromises()
    expect(folds(page)).toBe(0)
    expect(shown(page)).toBe('4')
    page.unmount()
  })

  it('unfolds where one of several is led to', async () => {
    const { page } = await opened(talk, '/intake/b')
    expect(folds(page)).toBe(0)
    expect(page.get('[aria-current=true]').text()).toContain('Writer b')
    page.unmount()
  })

  it('picks by the space bar, a fold as a whole', async () => {
    const { page } = await opened([...talk, line('x', { roomId: null, room: null })], '/intake/a')
    await press(' ')
    expect(page.get('[data-test=several]').text()).toContain('3 picked')
    await press('ArrowDown')
    await press(' ')
    expect(page.get('[data-test=several]').text()).toContain('4 picked')
    page.unmount()
  })
})
