import { flushPromises } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { EndedLine } from '@/api/client'
import RecordLog from '@/record/RecordLog.vue'
import { fakeServer, opened, pressedKey } from '@/testing/fakeServer'

const { push, replace, route } = vi.hoisted(() => ({
  push: vi.fn(),
  replace: vi.fn(),
  route: { params: {}, query: {} },
}))
vi.mock('vue-router', async () => {
  const { reactive } = await import('vue')
  const here = reactive(route)
  replace.mockImplementation((to: { query: Record<string, string> }) => {
    here.query = to.query
  })
  return { useRouter: () => ({ push, replace }), useRoute: () => here }
})

const LINE: EndedLine = {
  kind: 'FOLLOW_UP',
  closedAs: null,
  undoneAt: null,
  id: 'f1',
  title: 'Send the list',
  state: 'DONE',
  categoryId: null,
  replyDay: '2026-03-03',
  stamps: {
    askedAt: '2026-03-02T09:00:00Z',
    decidedAt: '2026-03-02T10:00:00Z',
    answeredAt: '2026-03-04T09:00:00Z',
    endedAt: '2026-03-04T09:30:00Z',
    workingMinutes: 840,
    onTime: false,
  },
  spentMinutes: 25,
  endedBy: 'Ines Calloway',
  from: 'Tilda Brandt',
  fromAddress: 'tilda@x.example',
  messageId: 'm1',
  threadId: 't1',
  note: '',
}
let server: ReturnType<typeof fakeServer>

beforeEach(() => {
  push.mockReset()
  server = fakeServer()
  server.answers('GET', '/api/record', { lines: [LINE], next: null })
  server.answers('GET', '/api/categories', [])
  server.answers('GET', '/api/intake', { quickChoices: [] } as never)
  server.answers('PUT', '/api/record/{id}/note', { commandId: 'c', label: 'Noted', topics: [] })
})

describe('The record', () => {
  it('says when each was asked, answered and done, and leads to its message with a key', async () => {
    const page = await opened(RecordLog)
    await pressedKey('ArrowDown')
    await flushPromises()
    const row = page.find('[data-test=ended]').text()
    expect(row).toContain('asked')
    expect(row).toContain('late: was due')
    expect(row).toContain('25 min spent')
    await pressedKey('m')
    expect(push).toHaveBeenCalledWith('/threads/t1?message=m1')
  })

  it('is narrowed by chips and annotated, and nothing else', async () => {
    const page = await opened(RecordLog)
    await page.find('[data-test=record-late]').trigger('click')
    await flushPromises()
    expect(server.sentTo('GET', '/api/record').at(-1)).toMatchObject({
      params: { query: { onTime: false } },
    })
    await pressedKey('ArrowDown')
    await pressedKey('n')
    await page.find('[data-test=record-note]').setValue('By phone too')
    await page.find('[data-test=record-bar] form').trigger('submit')
    await flushPromises()
    expect(server.sentTo('PUT', '/api/record/{id}/note').at(-1)?.body).toEqual({
      note: 'By phone too',
    })
  })
})
