import { flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { CandidateView } from '@/api/client'
import { queryClient } from '@/api/queries'
import { entryOf, lineOf, todayOf } from '@/testing/day'
import { fakeServer, opened, pressed, submitted, pressedKey } from '@/testing/fakeServer'
import TodayView from '@/today/TodayView.vue'

const { push } = vi.hoisted(() => ({ push: vi.fn() }))
vi.mock('vue-router', () => ({
  useRoute: () => ({ params: {} }),
  useRouter: () => ({ push }),
}))

const DONE = { commandId: 'c1', label: 'Done', topics: [] }
const LATE: CandidateView = {
  line: lineOf('late', { firm: true, replyDay: '2026-03-06' }),
  why: 'DUE_LATER',
  day: '2026-03-06',
  meeting: null,
  who: null,
  minutes: 20,
}
const OTHER: CandidateView = {
  line: lineOf('other'),
  why: 'DUE_TODAY',
  day: '2026-03-04',
  meeting: null,
  who: null,
  minutes: 5,
}
let server: ReturnType<typeof fakeServer>

beforeEach(() => {
  server = fakeServer()
  server.answers('GET', '/api/categories', [])
  server.answers('GET', '/api/sources', [])
  server.answers('POST', '/api/plan', DONE)
  server.answers('POST', '/api/plan/out', DONE)
  server.answers('PUT', '/api/plan/order', DONE)
  server.answers('POST', '/api/follow-ups/{id}/state', DONE)
  server.answers('POST', '/api/follow-ups/{id}/work/start', DONE)
})
afterEach(() => {
  vi.restoreAllMocks()
  document.body.innerHTML = ''
})

describe('Today', () => {
  it('says what could be done before anything is planned', async () => {
    server.answers('GET', '/api/today', todayOf({ candidates: [LATE, OTHER], pressing: 1 }))
    const page = await opened(TodayView)
    expect(page.text()).toContain('4 h free until 17:00, nothing planned yet')
    expect(page.find('[data-test=could-be-done]').text()).toContain('Title late')
    expect(page.text()).toContain('1 presses')
  })

  it('leads to the chase round, where somebody is to be chased', async () => {
    server.answers('GET', '/api/today', todayOf({ toBeChased: 3 }))
    const page = await opened(TodayView)
    await page.find('[data-test=to-round]').trigger('click')
    expect(push).toHaveBeenCalledWith({
      name: 'threads',
      params: { id: '' },
      query: { round: '' },
    })
  })

  it('asks about one after the other, with one key each', async () => {
    server.answers('GET', '/api/today', todayOf({ candidates: [LATE, OTHER] }))
    const page = await opened(TodayView)
    await pressedKey('p')
    expect(page.find('[data-test=candidate]').text()).toContain('Title late')
    await pressedKey('s')
    expect(page.find('[data-test=candidate]').text()).toContain('Title other')
    await pressedKey('i')
    expect(server.sentTo('POST', '/api/plan')[0]?.body).toEqual({
      wishes: [{ followUpId: 'other', day: '2026-03-04' }],
    })
    await pressedKey('Escape')
    expect(page.find('[data-test=plan-the-day]').exists()).toBe(false)
  })

  it('goes on after a drop, and asks again when it was refused', async () => {
    server.answers('GET', '/api/today', todayOf({ candidates: [LATE, OTHER] }))
    server.refuses('POST', '/api/follow-ups/{id}/state', 'Changed elsewhere.')
    const page = await opened(TodayView)
    await pressedKey('p')
    await pressedKey('x')
    await flushPromises()
    expect(page.find('[data-test=candidate]').text()).toContain('Title other')
    expect(page.find('[data-test=plan-the-day] ol').text()).toContain('Title late')
  })

  it('asks on about the same one whatever comes up meanwhile', async () => {
    server.answers('GET', '/api/today', todayOf({ candidates: [LATE, OTHER] }))
    const page = await opened(TodayView)
    await pressedKey('p')
    await pressedKey('i')
    const alarm: CandidateView = { ...LATE, line: lineOf('alarm'), why: 'LATE_FIRM' }
    queryClient.setQueryData(['today'], todayOf({ candidates: [alarm, LATE, OTHER] }))
    await flushPromises()
    expect(page.find('[data-test=candidate]').text()).toContain('Title other')
  })

  it('orders by hand, within a band and over its edge', async () => {
    server.answers('GET', '/api/today', todayOf({ entries: [entryOf('a'), entryOf('b')] }))
    await opened(TodayView)
    await pressedKey('ArrowDown', true)
    expect(server.sentTo('PUT', '/api/plan/order')[0]?.body).toEqual({
      day: '2026-03-04',
      band: 'LATER',
      inOrder: ['b', 'a'],
    })
    await pressedKey('ArrowUp', true)
    expect(server.sentTo('PUT', '/api/plan/order')[1]?.body).toEqual({
      day: '2026-03-04',
      band: 'NOW',
      inOrder: ['a'],
    })
  })

  it('says what is too much and makes it fit with one key', async () => {
    server.answers(
      'GET',
      '/api/today',
      todayOf({
        entries: [entryOf('a'), entryOf('b', { fits: false })],
        plannedMinutes: 275,
        overMinutes: 35,
        moves: [
          { followUpId: 'b', title: 'Title b', minutes: 30, from: '2026-03-04', to: '2026-03-05' },
        ],
      }),
    )
    const page = await opened(TodayView)
    expect(page.find('[data-test=standing]').text()).toContain('35 min too much')
    expect(page.find('[data-test=above-the-rim]').text()).toContain('Title b')
    await pressedKey('m')
    expect(server.sentTo('POST', '/api/plan')[0]?.body).toEqual({
      wishes: [{ followUpId: 'b', day: '2026-03-05' }],
    })
  })

  it('starts the clock, takes out of the day and ends', async () => {
    server.answers('GET', '/api/today', todayOf({ entries: [entryOf('a'), entryOf('b')] }))
    const page = await opened(TodayView)
    await pressedKey('w')
    expect(server.sentTo('POST', '/api/follow-ups/{id}/work/start')).toHaveLength(1)
    await pressedKey('x')
    expect(server.sentTo('POST', '/api/plan/out')[0]?.body).toEqual({ ids: ['a'] })
    await pressed(page, 'Done')
    expect(server.sentTo('POST', '/api/follow-ups/{id}/state')[0]?.params).toMatchObject({
      path: { id: 'a' },
      query: { state: 'DONE' },
    })
  })

  it('gives one a time of its own', async () => {
    server.answers('PUT', '/api/plan/{followUpId}/start', DONE)
    server.answers('GET', '/api/today', todayOf({ entries: [entryOf('a')] }))
    const page = await opened(TodayView)
    await pressedKey('b')
    await page.find('[data-test=block-words]').setValue('2pm 1h')
    await submitted(page, '[data-test=block]')
    expect(server.sentTo('PUT', '/api/plan/{followUpId}/start')[0]).toMatchObject({
      params: { path: { followUpId: 'a' } },
      body: { day: '2026-03-04', words: '2pm 1h' },
    })
  })

  it('says why a time of its own cannot be, and keeps what was typed', async () => {
    server.refuses('PUT', '/api/plan/{followUpId}/start', 'Not so.', {
      words: 'No time of the day.',
    })
    server.answers('GET', '/api/today', todayOf({ entries: [entryOf('a')] }))
    const page = await opened(TodayView)
    await pressedKey('b')
    await page.find('[data-test=block-words]').setValue('after lunch')
    await submitted(page, '[data-test=block]')
    expect(page.find('[data-test=block]').text()).toContain('No time of the day.')
    expect((page.find('[data-test=block-words]').element as HTMLInputElement).value).toBe(
      'after lunch',
    )
  })

  it('notes time that was worked without the clock', async () => {
    server.answers('POST', '/api/follow-ups/{id}/work', DONE)
    server.answers('GET', '/api/today', todayOf({ entries: [entryOf('a')] }))
    const page = await opened(TodayView)
    await pressedKey('e')
    await page.find('[data-test=worked] input').setValue(25)
    await submitted(page, '[data-test=worked]')
    expect(server.sentTo('POST', '/api/follow-ups/{id}/work')[0]?.body).toEqual({
      minutes: 25,
      day: null,
      from: null,
    })
  })

  it('says what to do when nothing is open and when it cannot be loaded', async () => {
    server.answers('GET', '/api/today', todayOf())
    const page = await opened(TodayView)
    expect(page.text()).toContain('Nothing is open.')
    expect(page.text()).toContain('Connect your mail, chat and calendars first')
    queryClient.clear()
    server.refuses('GET', '/api/today', 'It broke.')
    const broken = await opened(TodayView)
    expect(broken.text()).toContain('The day could not be loaded')
  })
})
