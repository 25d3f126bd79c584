import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import AheadView from '@/ahead/AheadView.vue'
import { needed, ordered } from '@/ahead/days'
import { verdict, stuck } from '@/ahead/words'
import { aheadEntryOf, aheadOf, lineOf } from '@/testing/day'
import { fakeServer, opened, pressedKey } from '@/testing/fakeServer'

vi.mock('vue-router', () => ({
  useRoute: () => ({ params: {} }),
  useRouter: () => ({ push: vi.fn() }),
}))

const DONE = { commandId: 'c1', label: 'Done', topics: [] }
const AHEAD = aheadOf(
  { '2026-03-04': [aheadEntryOf('a'), aheadEntryOf('b')], '2026-03-05': [aheadEntryOf('c')] },
  { shelf: [lineOf('d', { replyDay: null })] },
)
let server: ReturnType<typeof fakeServer>

beforeEach(() => {
  server = fakeServer()
  server.answers('GET', '/api/categories', [])
  server.answers('GET', '/api/ahead', AHEAD)
  server.answers('POST', '/api/plan', DONE)
  server.answers('POST', '/api/plan/out', DONE)
})
afterEach(() => {
  vi.restoreAllMocks()
  document.body.innerHTML = ''
})

describe('Ahead', () => {
  it('shows each day with what weighs on it, and what has no day', async () => {
    const page = await opened(AheadView)
    expect(page.find('[data-day="2026-03-04"]').findAll('[data-test=ahead-entry]')).toHaveLength(2)
    expect(page.find('[data-test=shelf]').text()).toContain('Title d')
  })

  it('moves one or several to the day beside theirs', async () => {
    await opened(AheadView)
    await pressedKey('ArrowRight', true)
    expect(server.sentTo('POST', '/api/plan')[0]?.body).toEqual({
      wishes: [{ followUpId: 'a', day: '2026-03-05' }],
    })
    await pressedKey(' ')
    await pressedKey('ArrowDown')
    await pressedKey(' ')
    await pressedKey('ArrowRight', true)
    expect(server.sentTo('POST', '/api/plan')[1]?.body).toEqual({
      wishes: [
        { followUpId: 'a', day: '2026-03-05' },
        { followUpId: 'b', day: '2026-03-05' },
      ],
    })
  })

  it('takes what is on the shelf to the first day', async () => {
    await opened(AheadView)
    for (let i = 0; i < 3; i++) {
      await pressedKey('ArrowDown')
    }
    await pressedKey('ArrowRight', true)
    expect(server.sentTo('POST', '/api/plan')[0]?.body).toEqual({
      wishes: [{ followUpId: 'd', day: '2026-03-04' }],
    })
  })

  it('goes from day to day and takes out of one', async () => {
    const page = await opened(AheadView)
    await pressedKey('ArrowRight')
    expect(page.find('[aria-current="true"]').text()).toContain('Title c')
    await pressedKey('x')
    expect(server.sentTo('POST', '/api/plan/out')[0]?.body).toEqual({ ids: ['c'] })
    await pressedKey('ArrowLeft')
    expect(page.find('[aria-current="true"]').text()).toContain('Title a')
  })
})

describe('the words above the days', () => {
  it('say until when it fits and why not longer', () => {
    const meeting = {
      title: 'Audit',
      place: '',
      allDay: false,
      fromMinute: 540,
      toMinute: 780,
      tentative: false,
      takesTime: true,
    }
    const short = aheadOf(
      { '2026-03-04': [], '2026-03-05': [] },
      { fitsUntil: '2026-03-04', shortFrom: '2026-03-05', shortMinutes: 100 },
    )
    short.days[1]?.meetings.push(meeting)
    const said = verdict(short)
    expect(said.fits).toMatch(/fits until Wed 4 Mar.*from Thu 5 Mar.* on it is$/)
    expect(said.tooMuch).toBe('1 h 40 too much')
    expect(said.because).toBe(', because “Audit” leaves 5 h free that day')
    expect(verdict({ ...short, fitsUntil: null }).fits).toBe('What is due today is already')
  })

  it('say which day holds too much where everything can still be done in time', () => {
    const full = aheadOf({ '2026-03-04': [], '2026-03-05': [] })
    full.days.forEach((day, place) => (day.overMinutes = 10 + place))
    expect(verdict(full)).toMatchObject({
      tooMuch: '11 min too much',
      because: ', and another day too',
    })
    expect(verdict(AHEAD).fits).toBe('Everything that is due fits.')
  })

  it('say what no move can help', () => {
    expect(stuck(AHEAD)).toBe('')
    expect(stuck({ ...AHEAD, stuck: [{ day: '2026-03-04', minutes: 40 }] })).toMatch(
      /^Without passing a reply-by date 40 min on Wed 4 Mar.*ask for a later date/,
    )
  })

  it('are about days drawn large enough for all that stands in them', () => {
    const [day] = aheadOf({ '2026-03-04': [aheadEntryOf('a', { fits: false, minutes: 60 })] }).days
    expect(day && needed(day)).toBe(375)
    expect(ordered([{ day: 'x', entries: [{ line: lineOf('a') }] }], [])).toHaveLength(1)
  })
})
