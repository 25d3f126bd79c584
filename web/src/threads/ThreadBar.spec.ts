import { beforeEach, describe, expect, it } from 'vitest'
import type { ThreadLine } from '@/api/client'
import { fakeServer, opened, pressedKey } from '@/testing/fakeServer'
import { threadOf } from '@/testing/threads'
import type { ThreadChoice } from '@/threads/decide'
import ThreadBar from '@/threads/ThreadBar.vue'
import view from '@/threads/view'

type Page = Awaited<ReturnType<typeof opened>>

const DEBT = { to: 'Bo' } as never
const AWAITED = { party: { name: 'Bo', address: 'bo@x.example' } } as never

function open(lines: ThreadLine[], more: Record<string, unknown> = {}): Promise<Page> {
  return opened(ThreadBar, { lines, picked: lines.length > 1, active: true, ...more })
}
const decided = (page: Page) => page.emitted<[ThreadChoice]>('decide')?.at(-1)?.[0]
const offers = (page: Page, test: string) => page.find(`[data-test=${test}]`).exists()

beforeEach(() => {
  fakeServer()
})

describe('What is decided about threads', () => {
  it('offers only what can be: no turn to hand over where nothing is owed, nobody to chase', async () => {
    const idle = await open([threadOf('a')])
    expect(offers(idle, 'close')).toBe(true)
    expect(
      ['no-reply', 'their-turn', 'not-before', 'open-all-again', 'join'].map((each) =>
        offers(idle, each),
      ),
    ).toEqual([false, false, false, false, false])
    const both = await open([threadOf('b', { debts: [DEBT], awaited: [AWAITED] })])
    expect(offers(both, 'no-reply')).toBe(true)
    expect(offers(both, 'not-before')).toBe(true)
    const closed = await open([threadOf('c', { turn: 'CLOSED', closedAs: 'ANSWERED' })])
    expect(offers(closed, 'close')).toBe(false)
    expect(offers(closed, 'open-all-again')).toBe(true)
  })

  it('closes by two letters, with its follow-ups where that is said', async () => {
    const page = await open([threadOf('a', { followUps: 1 }), threadOf('b', { followUps: 2 })])
    await pressedKey(view.keys.close.key)
    const asked = page.find('[data-test=closing]')
    expect(asked.text()).toContain('3 follow-ups are done')
    await asked.trigger('keydown', { key: 'f' })
    await page.find('[data-test^=bar-close-]').trigger('click')
    expect(decided(page)).toMatchObject({ choice: 'CLOSE', endFollowUps: true })
  })

  it('forgets what was asked when another thread is pointed at', async () => {
    const page = await open([threadOf('a', { followUps: 1 })])
    await pressedKey(view.keys.close.key)
    await page.find('[data-test=end-follow-ups]').trigger('click')
    await page.setProps({ lines: [threadOf('b', { followUps: 1 })] })
    expect(offers(page, 'closing')).toBe(false)
    await pressedKey(view.keys.close.key)
    await page.find('[data-test^=bar-close-]').trigger('click')
    expect(decided(page)).toMatchObject({ endFollowUps: false })
  })

  it('tells a thread that is only watched from one that is never seen', async () => {
    const page = await open([threadOf('a')])
    await pressedKey(view.keys.notMine.key)
    await page.find('[data-test=whose]').trigger('keydown', { key: 'w' })
    expect(decided(page)).toEqual({ choice: 'WATCH' })
    await pressedKey(view.keys.notMine.key)
    await page.find('[data-test=whose]').trigger('keydown', { key: 'n' })
    expect(decided(page)).toEqual({ choice: 'NOT_MINE' })
  })

  it('goes back with Escape and decides nothing', async () => {
    const page = await open([threadOf('a')])
    await pressedKey(view.keys.close.key)
    await page.find('[data-test=closing]').trigger('keydown', { key: 'Escape' })
    expect(offers(page, 'closing')).toBe(false)
    expect(decided(page)).toBeUndefined()
  })

  it('joins only what is of one channel and one room', async () => {
    const mails = await open([threadOf('a'), threadOf('b')])
    expect(offers(mails, 'join')).toBe(true)
    const mixed = await open([threadOf('a'), threadOf('b', { channel: 'CHAT', room: 'Yard' })])
    expect(offers(mixed, 'join')).toBe(false)
    const alone = await open([threadOf('a')], { picked: true })
    expect(offers(alone, 'join')).toBe(false)
  })

  it('hears no key while something else has them', async () => {
    const page = await open([threadOf('a', { debts: [DEBT] })], { active: false })
    await pressedKey(view.keys.noReply.key)
    expect(decided(page)).toBeUndefined()
    await page.setProps({ active: true })
    await pressedKey(view.keys.noReply.key)
    expect(decided(page)).toEqual({ choice: 'NO_REPLY_OWED' })
  })
})
