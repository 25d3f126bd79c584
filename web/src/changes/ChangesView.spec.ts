import { flushPromises } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import ChangesView from '@/changes/ChangesView.vue'
import { fakeServer, opened, pressed, pressedKey } from '@/testing/fakeServer'
import { shiftDay, today } from '@/ui/time'

const { push, route } = vi.hoisted(() => ({
  push: vi.fn(),
  route: { params: {} },
}))
vi.mock('vue-router', () => ({ useRoute: () => route, useRouter: () => ({ push }) }))

const UNDO = '/api/commands/{commandId}/undo'
let server: ReturnType<typeof fakeServer>

function answers(day: string, changes: object[]): void {
  server.answers('GET', '/api/commands', { day, changes } as never)
}

beforeEach(() => {
  push.mockClear()
  route.params = {}
  server = fakeServer()
})

describe('What I did', () => {
  it('lists the day with what came by itself and what was taken back', async () => {
    answers(today(), [
      { commandId: 'c3', label: 'Done: Send plan', at: '2026-03-04T10:05:00Z', mine: true },
      { commandId: 'c2', label: 'Recipe: Invoices', at: '2026-03-04T09:00:00Z', mine: false },
      { commandId: 'c1', label: 'Put off', at: '2026-03-04T08:00:00Z', mine: true, undone: true },
    ])
    const page = await opened(ChangesView)
    const rows = page.findAll('[data-test=change]').map((row) => row.text())
    expect(page.text()).toContain('What I did today')
    expect(page.text()).toContain('2 changes')
    expect(rows[1]).toContain('by itself')
    expect(rows[2]).toContain('taken back')
    expect(rows[2]).not.toContain('Undo')
    expect(page.find('[data-test=later]').attributes('disabled')).toBeDefined()
  })

  it('takes one back where it stands, and says there why it cannot', async () => {
    answers(today(), [
      { commandId: 'c2', label: 'Closed: Berth 9', at: '2026-03-04T09:00:00Z', mine: true },
    ])
    server.answers('POST', UNDO, { commandId: 'u', label: 'Undone', topics: [] })
    const page = await opened(ChangesView)
    await pressed(page, 'Undo')
    expect(server.sentTo('POST', UNDO).at(-1)?.params).toMatchObject({ path: { commandId: 'c2' } })

    server.refuses('POST', UNDO, 'It was changed again since. Nothing was changed.')
    await pressed(page, 'Undo')
    expect(page.find('[role=alert]').text()).toBe(
      'It was changed again since. Nothing was changed.',
    )
  })

  it('goes from day to day by keys, and no further than today', async () => {
    answers(today(), [])
    await opened(ChangesView)
    await pressedKey('ArrowRight')
    expect(push).not.toHaveBeenCalled()
    await pressedKey('ArrowLeft')
    const before = shiftDay(today(), -1)
    expect(push).toHaveBeenLastCalledWith({ name: 'changes', params: { day: before } })
  })

  it('comes back to today from the day before it', async () => {
    const before = shiftDay(today(), -1)
    route.params = { day: before }
    answers(before, [])
    const page = await opened(ChangesView)
    expect(page.text()).toContain('Nothing on')
    await pressedKey('ArrowRight')
    expect(push).toHaveBeenLastCalledWith({ name: 'changes', params: { day: '' } })
  })

  it('says when it could not be loaded and tries again', async () => {
    const page = await opened(ChangesView)
    await flushPromises()
    expect(page.text()).toContain('The changes could not be loaded')
    answers(today(), [])
    await pressed(page, 'Try again')
    expect(page.text()).toContain('Nothing today')
  })
})
