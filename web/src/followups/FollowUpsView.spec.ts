import { flushPromises } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import FollowUpsView from '@/followups/FollowUpsView.vue'
import { lineOf } from '@/testing/day'
import { fakeServer, opened, pressed, pressedKey } from '@/testing/fakeServer'

const { push } = vi.hoisted(() => ({ push: vi.fn() }))
vi.mock('vue-router', () => ({
  useRoute: () => ({ params: {} }),
  useRouter: () => ({ push }),
}))

const DONE = { commandId: 'c1', label: 'Done', topics: [] }
let server: ReturnType<typeof fakeServer>

beforeEach(() => {
  localStorage.clear()
  server = fakeServer()
  server.answers('GET', '/api/follow-ups', {
    open: [
      lineOf('a'),
      lineOf('b', { place: 'Yard', people: [{ name: 'Otto', address: 'otto@x.example' }] }),
      lineOf('c', { firm: true, replyDay: '2026-03-06' }),
    ],
    waiting: [],
    later: [],
    ended: [],
    undated: 0,
  })
  server.answers('GET', '/api/follow-ups/groups', [
    { key: 'TODAY', name: '', followUps: ['a', 'b'], minutes: 60, day: null },
    { key: 'THIS_WEEK', name: '', followUps: ['c'], minutes: 30, day: null },
  ])
  server.answers('GET', '/api/follow-ups/facets', [])
  server.answers('GET', '/api/arrangements', [])
  server.answers('GET', '/api/categories', [])
  server.answers('GET', '/api/intake', {
    lines: [],
    counts: {},
    total: 0,
    heldBack: 0,
    putOff: 0,
    quickChoices: [],
  } as never)
  server.answers('POST', '/api/follow-ups/decisions', DONE)
})

function decided(): Record<string, unknown> | undefined {
  return server.sentTo('POST', '/api/follow-ups/decisions').at(-1)?.body as
    Record<string, unknown> | undefined
}

describe('Follow-ups', () => {
  it('decide the one pointed at, or all that are picked, with a letter', async () => {
    const page = await opened(FollowUpsView)
    await pressedKey('ArrowDown')
    await pressedKey('x')
    expect(decided()).toMatchObject({ ids: ['a'], kind: 'DROP' })
    await pressedKey('ArrowUp')
    await pressedKey(' ')
    await pressedKey('ArrowDown', true)
    expect(page.find('[data-test=follow-up-bar]').text()).toContain('2 picked')
    await pressedKey('i')
    await pressed(page, 'High')
    expect(decided()).toMatchObject({ ids: ['a', 'b'], kind: 'PRIORITY', priority: 'HIGH' })
    expect(page.find('[data-test=follow-up-bar]').text()).not.toContain('picked')
  })

  it('set a place or a person that is known by its name', async () => {
    const page = await opened(FollowUpsView)
    await pressedKey('ArrowDown')
    await pressedKey('w')
    await page.find('[data-test=bar-field]').setValue('otto')
    await page.find('[data-test=follow-up-bar] form').trigger('submit')
    await flushPromises()
    expect(decided()).toMatchObject({
      kind: 'PERSON',
      personName: 'otto',
      personAddress: 'otto@x.example',
    })
    await pressedKey('m')
    await page.find('[data-test=bar-field]').setValue('45')
    await page.find('[data-test=follow-up-bar] form').trigger('submit')
    expect(decided()).toMatchObject({ kind: 'EFFORT', minutes: 45, day: null })
  })

  it('are grouped otherwise, and groups fold and stay so', async () => {
    const page = await opened(FollowUpsView)
    expect(page.findAll('[data-test=group]')[0]?.text()).toBe('Today')
    await page.findAll('[data-test=group]')[0]?.trigger('click')
    expect(page.findAll('[data-test=group]')[0]?.attributes('data-folded')).toBe('true')
    await pressedKey('b')
    expect(server.sentTo('GET', '/api/follow-ups/groups').at(-1)?.params).toMatchObject({
      query: { by: 'CATEGORY' },
    })
    const again = await opened(FollowUpsView)
    expect((again.find('[data-test=group-by]').element as HTMLSelectElement).value).toBe('CATEGORY')
  })

  it('show what fits here and now', async () => {
    server.answers('GET', '/api/follow-ups/here', {
      followUps: ['b'],
      minutes: 25,
      until: 'Crew',
      places: ['Yard'],
    })
    const page = await opened(FollowUpsView)
    await pressedKey('n')
    expect(page.find('[data-test=here-and-now]').text()).toContain('until “Crew”')
    expect(page.findAll('[data-test=group]').map((each) => each.text())).toEqual(['Today'])
    await page.find('[data-test=here-minutes]').setValue('10')
    await flushPromises()
    expect(server.sentTo('GET', '/api/follow-ups/here').at(-1)?.params).toMatchObject({
      query: { minutes: 10 },
    })
    await pressedKey('n')
    expect(page.findAll('[data-test=group]')).toHaveLength(2)
  })

  it('move in my own order with a key', async () => {
    server.answers('POST', '/api/follow-ups/order', DONE)
    const page = await opened(FollowUpsView)
    await pressedKey('ArrowDown')
    await pressedKey('t')
    await flushPromises()
    expect(server.sentTo('POST', '/api/follow-ups/order').at(-1)?.body).toEqual({
      group: ['b', 'a'],
      moved: ['a'],
    })
    expect((page.find('[data-test=order]').element as HTMLSelectElement).value).toBe('true')
  })

  it('stand as an arrangement says, which is kept under a name with a key', async () => {
    server.answers('GET', '/api/arrangements', [
      {
        id: 'x1',
        name: 'On the phone',
        letter: '2',
        facet: 'PERSON',
        byHand: true,
        only: [{ facet: 'PLACE', key: 'phone', name: 'Phone' }],
      },
    ])
    server.answers('PUT', '/api/arrangements/{id}', DONE)
    const page = await opened(FollowUpsView)
    await pressedKey('a')
    await flushPromises()
    await page.find('[data-test=arrangements]').trigger('keydown', { key: '2' })
    await flushPromises()
    expect(page.find('[data-test=filter-chosen]').text()).toContain('Phone')
    expect((page.find('[data-test=group-by]').element as HTMLSelectElement).value).toBe('PERSON')
    await pressedKey('a')
    await page.find('[data-test=arrangement-name]').setValue('On the line')
    await page.find('[data-test=arrangements] form').trigger('submit')
    await flushPromises()
    expect(server.sentTo('PUT', '/api/arrangements/{id}').at(-1)?.body).toMatchObject({
      name: 'On the line',
      letter: '1',
      facet: 'PERSON',
      only: [{ key: 'phone' }],
    })
  })
})
