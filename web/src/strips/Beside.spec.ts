import { flushPromises } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { defineComponent, h } from 'vue'
import Beside from '@/strips/Beside.vue'
import { lineOf } from '@/testing/day'
import { fakeServer, opened, pressedKey } from '@/testing/fakeServer'

let server: ReturnType<typeof fakeServer>
const dropped = vi.fn()
const View = defineComponent({
  render: () =>
    h(
      Beside,
      { group: 'View', dragged: [{ id: 'm1', text: 'The crane' }], onDrop: dropped },
      () => 'the mail',
    ),
})

beforeEach(() => {
  localStorage.clear()
  dropped.mockReset()
  vi.spyOn(window, 'matchMedia').mockImplementation(
    (query) =>
      ({
        matches: query.includes('1024'),
        media: query,
        addEventListener: vi.fn(),
        removeEventListener: vi.fn(),
      }) as unknown as MediaQueryList,
  )
  server = fakeServer()
  server.answers('GET', '/api/today', {
    entries: [{ line: lineOf('Ring the pilot'), at: '11:00:00' }],
  } as never)
  server.answers('GET', '/api/follow-ups', { open: [lineOf('a')] } as never)
  server.answers('GET', '/api/follow-ups/groups', [
    { key: 'TODAY', name: '', followUps: ['a'], minutes: 5, day: '2026-03-04' },
  ])
  server.answers('GET', '/api/follow-ups/facets', [
    { facet: 'REPLY_BY', key: 'TODAY', name: '', count: 1 },
    { facet: 'PLACE', key: 'yard', name: 'Yard', count: 1 },
  ])
  server.answers('GET', '/api/searches', [])
  server.answers('GET', '/api/people', [])
})

describe('A list beside the mail', () => {
  it('shows with a key what was chosen for it, and folds away with the same', async () => {
    const page = await opened(View)
    expect(page.find('[data-test=strip]').exists()).toBe(false)
    await pressedKey('v')
    await flushPromises()
    expect(page.find('[data-test=strip-row]').text()).toContain('11:00')
    await page.find('[data-test=strip-shows]').setValue('group REPLY_BY TODAY')
    await flushPromises()
    expect(page.findAll('[data-test=strip-row]')).toHaveLength(1)
    await pressedKey('v')
    expect(page.find('[data-test=strip]').exists()).toBe(false)
    await pressedKey('v')
    expect((page.find('[data-test=strip-shows]').element as HTMLSelectElement).value).toBe(
      'group REPLY_BY TODAY',
    )
  })

  it('takes what is let go on it, where that says something', async () => {
    const page = await opened(View)
    await pressedKey('v')
    await page.find('[data-test=strip-shows]').setValue('group REPLY_BY TODAY')
    await flushPromises()
    await page.find('[data-test=strip]').trigger('drop')
    expect(dropped).toHaveBeenCalledWith({ kind: 'day', day: '2026-03-04' })
    dropped.mockReset()
    await page.find('[data-test=strip-shows]').setValue('group PLACE yard')
    await flushPromises()
    await page.find('[data-test=strip]').trigger('drop')
    expect(dropped).not.toHaveBeenCalled()
  })

  it('is widened with the arrows, and remembers that', async () => {
    const page = await opened(View)
    await pressedKey('v')
    await page.find('[role=separator]').trigger('keydown', { key: 'ArrowLeft' })
    expect(page.find('aside').attributes('style')).toContain('280px')
  })
})
