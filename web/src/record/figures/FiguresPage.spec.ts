import { RouterLinkStub } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { FiguresView } from '@/api/client'
import FiguresPage from '@/record/figures/FiguresPage.vue'
import { fakeServer, opened, pressed } from '@/testing/fakeServer'

const { query, replace } = vi.hoisted(() => {
  const query: Record<string, string> = {}
  return { query, replace: vi.fn() }
})
vi.mock('vue-router', () => ({
  useRoute: () => ({ query, params: { part: 'figures' } }),
  useRouter: () => ({ push: vi.fn(), replace }),
}))
// A canvas draws nothing here; what it would show stands in the tables.
vi.mock('@/record/figures/BarChart.vue', () => ({ default: { template: '<div />' } }))

const DONE = { commandId: 'c1', label: 'Done', topics: [] }
const SPREAD = { count: 6, medianMinutes: 90, p90Minutes: 480 }
const NONE = { count: 0, medianMinutes: 0, p90Minutes: 0 }
const VIEW: FiguresView = {
  from: '2026-02-02',
  to: '2026-03-04',
  minutesOfADay: 480,
  responses: {
    all: SPREAD,
    unanswered: 2,
    byPerson: [{ person: { name: 'Bo Ash', address: 'bo@ash.example' }, spread: SPREAD }],
    byCategory: [{ categoryId: 'k1', spread: SPREAD }],
    byWeek: [{ week: '2026-03-02', spread: NONE }],
  },
  punctuality: {
    onTime: 3,
    late: 1,
    undated: 2,
    byWeek: [{ week: '2026-03-02', onTime: 3, late: 1 }],
  },
  flow: [{ week: '2026-03-02', cameIn: 9, decided: 8, ended: 4 }],
  ages: [],
  others: [{ address: 'gus@quay.example', spread: SPREAD, waiting: 2 }],
  efforts: [{ categoryId: 'k1', measured: 7, thought: 15, spent: 40, proposed: 40 }],
  habits: [
    {
      party: 'news@tide.example',
      name: '',
      list: true,
      decision: 'NOTHING',
      categoryId: null,
      decisions: 12,
    },
  ],
}
const MOORINGS = {
  id: 'k1',
  name: 'Moorings',
  hue: 'TEAL',
  letter: 'm',
  replyDays: 2,
  place: 0,
  effortMinutes: null,
  version: 4,
}
let server: ReturnType<typeof fakeServer>

beforeEach(() => {
  server = fakeServer()
  server.answers('GET', '/api/record/figures', VIEW)
  server.answers('GET', '/api/categories', [MOORINGS] as never)
  server.answers('PUT', '/api/categories/{id}', DONE)
})
afterEach(() => {
  vi.restoreAllMocks()
  replace.mockClear()
  Object.keys(query).forEach((key) => {
    Reflect.deleteProperty(query, key)
  })
  document.body.innerHTML = ''
})

describe('the figures', () => {
  it('say in a sentence each what the tables hold, and lead to the rows', async () => {
    const page = await opened(FiguresPage)
    expect(page.text()).toContain(
      'You answered half of 6 questions within 1 h 30, nine of ten within 1 d.',
    )
    expect(page.text()).toContain('3 of 4 with a date were in time (75 %). 2 more had no date.')
    expect(page.text()).toContain('1 recipe would have saved you 12 decisions.')
    await pressed(page, 'by person')
    const rows = page.findAll('[data-test=figure-responses] tbody tr')
    expect(rows).toHaveLength(1)
    expect(rows[0]?.text()).toContain('Bo Ash')
    expect(rows[0]?.findComponent(RouterLinkStub).exists()).toBe(true)
  })

  it('offer a better usual effort, taken with one press and as the category was seen', async () => {
    const page = await opened(FiguresPage)
    await page.find('[data-test=take-effort]').trigger('click')
    const sent = server.sentTo('PUT', '/api/categories/{id}')[0]
    expect(sent?.body).toMatchObject({ name: 'Moorings', replyDays: 2, effortMinutes: 40 })
    expect(sent?.params).toMatchObject({ path: { id: 'k1' }, query: { version: 4 } })
  })

  it('begin a recipe with what repeats itself', async () => {
    const page = await opened(FiguresPage)
    const link = page
      .findAllComponents(RouterLinkStub)
      .find((each) => each.text() === 'Make a recipe')
    expect(link?.props('to')).toEqual({
      path: '/settings/recipes',
      query: { list: 'news@tide.example', step: 'NOTHING' },
    })
  })

  it('ask for the days in the address, and put chosen ones there', async () => {
    query.from = '2026-01-01'
    const page = await opened(FiguresPage)
    expect(server.sentTo('GET', '/api/record/figures')[0]?.params).toEqual({
      query: { from: '2026-01-01' },
    })
    await pressed(page, 'a quarter')
    expect(replace).toHaveBeenLastCalledWith({ query: {} })
  })

  it('say what to do where they cannot be made', async () => {
    server.refuses('GET', '/api/record/figures', 'At most a year at a time.')
    const page = await opened(FiguresPage)
    expect(page.text()).toContain('At most a year at a time. Nothing was changed.')
    server.answers('GET', '/api/record/figures', VIEW)
    await pressed(page, 'Try again')
    expect(page.text()).toContain('You answered half of 6 questions')
  })
})
