import { flushPromises, type VueWrapper } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { reactive } from 'vue'
import type { FoundThing, FoundThings } from '@/api/client'
import FindView from '@/find/FindView.vue'
import { fakeServer, opened, pressed } from '@/testing/fakeServer'

const { push, back, route } = vi.hoisted(() => ({
  push: vi.fn(),
  back: vi.fn(),
  route: { query: {}, fullPath: '/find' },
}))
const now: { query: Record<string, string>; fullPath: string } = reactive(route)
vi.mock('vue-router', () => ({
  useRoute: () => now,
  useRouter: () => ({
    push,
    back,
    replace: ({ query }: { query: Record<string, string> }) => {
      now.query = query
    },
  }),
}))

function thing(id: string, more: Partial<FoundThing> = {}): FoundThing {
  return {
    kind: 'MESSAGE',
    id,
    title: `Title ${id}`,
    snippet: 'about the crane',
    hits: [{ from: 10, to: 15 }],
    who: 'Tilda',
    at: '2026-03-02T09:00:00Z',
    state: 'WITH_ME',
    messageId: id,
    threadId: `t${id}`,
    categoryId: null,
    more: 0,
    ...more,
  }
}

const FOUND: FoundThings = {
  results: [thing('a'), thing('b'), thing('otto@x.example', { kind: 'PERSON', title: 'Otto' })],
  total: 3,
  asTyped: true,
  chips: {
    kinds: [{ value: 'MESSAGE', name: '', count: 2 }],
    people: [{ value: 'tilda@x.example', name: 'Tilda Brandt', count: 2 }],
    categories: [],
    sources: [],
    rooms: [],
    standings: [],
    files: [],
    linked: [{ value: 'false', name: '', count: 2 }],
  },
  behind: 0,
}
let server: ReturnType<typeof fakeServer>

beforeEach(() => {
  push.mockClear()
  vi.useFakeTimers()
  now.query = {}
  server = fakeServer()
  server.answers('GET', '/api/search', FOUND)
  server.answers('GET', '/api/searches', [])
  server.answers('GET', '/api/categories', [])
  server.answers('GET', '/api/sources', [])
  server.answers('PUT', '/api/searches/{id}', { commandId: 'c', label: 'Kept', topics: [] })
})

async function typed(page: VueWrapper, words: string): Promise<void> {
  await page.find('[data-test=find-field]').setValue(words)
  vi.advanceTimersByTime(200)
  await flushPromises()
}

async function key(page: VueWrapper, name: string): Promise<void> {
  await page.find('[data-test=find-field]').trigger('keydown', { key: name })
  await flushPromises()
}

describe('Find', () => {
  it('shows what is found while words are typed, and opens it by keyboard', async () => {
    const page = await opened(FindView)
    await typed(page, 'crane')
    expect(now.query.q).toBe('crane')
    expect(server.sentTo('GET', '/api/search').at(-1)?.params).toMatchObject({
      query: { q: 'crane', most: 30 },
    })
    expect(page.findAll('[data-test=found]')).toHaveLength(3)
    expect(page.find('mark').text()).toBe('crane')
    await key(page, 'ArrowDown')
    expect(page.findAll('[role=option]')[1]?.attributes('aria-selected')).toBe('true')
    await key(page, 'Enter')
    expect(push).toHaveBeenCalledWith('/threads/tb?message=b')
  })

  it('opens what belongs to the words, however quickly Enter comes', async () => {
    const page = await opened(FindView)
    server.answers('GET', '/api/search', { ...FOUND, results: [thing('late')] })
    await page.find('[data-test=find-field]').setValue('late')
    await page.find('[data-test=find-field]').trigger('keydown', { key: 'Enter' })
    expect(push, 'not what was found before').not.toHaveBeenCalledWith('/threads/ta?message=a')
    await flushPromises()
    expect(push).toHaveBeenLastCalledWith('/threads/tlate?message=late')
  })

  it('calls nobody back who has left', async () => {
    const page = await opened(FindView)
    await page.find('[data-test=find-field]').setValue('crane')
    page.unmount()
    vi.advanceTimersByTime(500)
    expect(now.query).toEqual({})
  })

  it('narrows by a chip, and no longer when it is pressed again', async () => {
    const page = await opened(FindView)
    await pressed(page, 'Tilda Brandt')
    expect(now.query.person).toBe('tilda@x.example')
    await pressed(page, 'Tilda Brandt')
    expect(now.query.person).toBeUndefined()
    await pressed(page, 'without a follow-up')
    expect(now.query.linked).toBe('no')
    await key(page, 'Escape')
    expect(now.query).toEqual({})
    await key(page, 'Escape')
    expect(back).toHaveBeenCalled()
  })

  it('opens a person that was found', async () => {
    const page = await opened(FindView)
    await key(page, 'PageDown')
    await key(page, 'Enter')
    expect(push).toHaveBeenCalledWith('/people/otto%40x.example')
  })

  it('keeps a search under a name', async () => {
    const page = await opened(FindView)
    await typed(page, 'crane')
    await page.find('[data-test=keep]').trigger('click')
    await page.find('[data-test=keep-name]').setValue('Cranes')
    await page.find('form').trigger('submit')
    await flushPromises()
    expect(server.sentTo('PUT', '/api/searches/{id}')[0]?.body).toMatchObject({
      name: 'Cranes',
      words: 'crane',
    })
  })

  it('says when only similar words were found, and when nothing was', async () => {
    server.answers('GET', '/api/search', { ...FOUND, asTyped: false })
    const page = await opened(FindView)
    await typed(page, 'crnae')
    expect(page.find('[data-test=how-many]').text()).toContain('similar words')
    server.answers('GET', '/api/search', { ...FOUND, results: [], total: 0 })
    await typed(page, 'zeppelin')
    expect(page.text()).toContain('Nothing is found')
  })

  it('says what happened when it could not be looked for', async () => {
    server.refuses('GET', '/api/search', 'The index cannot be read.')
    const page = await opened(FindView)
    expect(page.find('[role=alert]').text()).toContain('The index cannot be read.')
  })
})
