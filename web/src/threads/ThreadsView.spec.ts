import { flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { AwaitedView, ThreadLine } from '@/api/client'
import { fakeServer, opened, pressedKey } from '@/testing/fakeServer'
import { threadOf } from '@/testing/threads'
import { rowsOf } from '@/threads/rows'
import ClosingSweep from '@/threads/ClosingSweep.vue'
import ThreadsView from '@/threads/ThreadsView.vue'

vi.mock('vue-router', () => ({
  useRoute: () => ({ params: {}, query: {} }),
  useRouter: () => ({ push: vi.fn() }),
}))

function awaited(name: string, what: string): AwaitedView {
  return {
    name,
    address: `${name.toLowerCase()}@quay.example`,
    messageId: 'm1',
    since: '2026-02-25T10:00:00Z',
    silenceWorkingMinutes: 2400,
    byDay: null,
    byTime: null,
    late: false,
    promised: false,
    promisedBy: null,
    chaseOn: '2026-03-02',
    why: 'SILENT',
    ruleBy: null,
    chases: 0,
    returnsOn: null,
    usualMinutes: null,
    laterThanUsual: false,
    answeredBy: null,
    what,
  }
}

const line = (id: string, more: Partial<ThreadLine> = {}) =>
  threadOf(id, { awaited: [awaited('Bo', 'Which rope?'), awaited('Tilda', 'The chart?')], ...more })

let server: ReturnType<typeof fakeServer>

function answers(...lines: ThreadLine[]): void {
  server.answers('GET', '/api/threads', {
    counts: { WITH_ME: 0, WITH_OTHERS: lines.length, CLOSED: 0, NOBODY: 0 },
    due: 0,
    promised: 0,
    closable: 0,
    lines,
    more: false,
    now: '2026-03-04T10:00:00Z',
  })
}

beforeEach(() => {
  server = fakeServer()
  server.answers('GET', '/api/categories', [])
  server.answers('POST', '/api/threads/decisions', { commandId: 'c', label: 'Done', topics: [] })
})
afterEach(() => {
  vi.restoreAllMocks()
  localStorage.clear()
  document.body.innerHTML = ''
})

const decided = () =>
  server
    .sentTo('POST', '/api/threads/decisions')
    .map((sent) => sent.body as { threadIds: string[] })

describe('the rows of threads', () => {
  it('have a heading where a group begins', () => {
    const bo = { key: 'bo', title: 'Bo', size: 2 }
    const rows = rowsOf([
      line('a', { group: bo }),
      line('b', { group: bo }),
      line('a', { group: { key: 'tilda', title: 'Tilda', size: 1 } }),
    ])
    expect(rows.map((row) => row.heading?.title)).toEqual(['Bo', undefined, 'Tilda'])
    expect(new Set(rows.map((row) => row.key)).size).toBe(3)
    expect(rowsOf([line('a'), line('b')], new Set(['a'])).map((row) => row.line.id)).toEqual(['b'])
  })
})

describe('the list of threads', () => {
  it('shows with each person what is open with them alone', async () => {
    localStorage.setItem('threads-grouped-by', 'PERSON')
    answers(
      line('a', { group: { key: 'bo@quay.example', title: 'Bo', size: 1 } }),
      line('a', { group: { key: 'tilda@quay.example', title: 'Tilda', size: 1 } }),
    )
    const page = await opened(ThreadsView)
    const rows = page.findAll('[data-test=thread-owed]')
    expect(rows[0]?.text()).toContain('Which rope?')
    expect(rows[0]?.text()).not.toContain('The chart?')
    expect(rows[1]?.text()).toContain('The chart?')
    expect(page.findAll('[data-test=group]').map((each) => each.text())).toEqual(['Bo1', 'Tilda1'])
  })

  it('decides with letters, and the row leaves at once', async () => {
    answers(line('a', { followUps: 2 }), line('b'))
    const page = await opened(ThreadsView)
    await pressedKey('c')
    await page.find('[data-test=closing]').trigger('keydown', { key: 'f' })
    await page.find('[data-test=closing]').trigger('keydown', { key: 'd' })
    expect(decided()).toEqual([
      {
        threadIds: ['a'],
        choice: 'CLOSE',
        reason: 'DONE_ELSEWHERE',
        day: null,
        endFollowUps: true,
      },
    ])
    expect(page.findAll('[data-test=thread-owed]')).toHaveLength(1)
  })

  it('decides about all that are picked, and brings them back where that fails', async () => {
    server.refuses('POST', '/api/threads/decisions', 'No.')
    answers(line('a'), line('b'), line('c'))
    const page = await opened(ThreadsView)
    const boxes = page.findAll('input[type=checkbox]')
    await boxes[0]?.trigger('change')
    await boxes[2]?.trigger('change')
    expect(page.find('[data-test=thread-bar]').text()).toContain('2 picked')
    await pressedKey('c')
    await page.find('[data-test=closing]').trigger('keydown', { key: 'g' })
    await flushPromises()
    expect(decided()[0]?.threadIds).toEqual(['a', 'c'])
    expect(page.findAll('[data-test=thread-owed]')).toHaveLength(3)
  })

  it('offers only what can be decided', async () => {
    answers(line('a'))
    const page = await opened(ThreadsView)
    expect(page.find('[data-test=no-reply]').exists()).toBe(false)
    expect(page.find('[data-test=not-before]').exists()).toBe(true)
    expect(page.find('[data-test=open-all-again]').exists()).toBe(false)
  })
})

describe('the closing sweep', () => {
  const closable = (id: string, closingWord: string | null) => ({
    line: line(id, { turn: 'NOBODY', awaited: [], closingWord }),
    mine: closingWord !== null,
    writer: 'Tilda',
    words: closingWord ? 'Thanks, that is all.' : 'See you there.',
  })

  it('shows what it would close, and leaves out what was taken out', async () => {
    server.answers('GET', '/api/threads/closable', {
      threads: [closable('a', 'm1'), closable('b', null), closable('c', null)],
      now: '2026-03-04T10:00:00Z',
    })
    const page = await opened(ClosingSweep)
    expect(page.findAll('h2').map((each) => each.text())).toEqual([
      'The last word was said 1',
      'Nobody has written for 10 working days 2',
    ])
    await page.findAll('input[type=checkbox]')[1]?.trigger('change')
    expect(page.find('[data-test=sweep-close]').text()).toBe('Close 2 as answered')
    await page.find('[data-test=sweep-close]').trigger('click')
    expect(decided()).toMatchObject([
      { threadIds: ['a', 'c'], choice: 'CLOSE', reason: 'ANSWERED', endFollowUps: false },
    ])
  })
})
