import { DOMWrapper, flushPromises } from '@vue/test-utils'
import { beforeEach, describe, expect, it } from 'vitest'
import type { FollowUpLine } from '@/api/client'
import { listen } from '@/api/live'
import { useToasts } from '@/api/toasts'
import FollowUpSheet from '@/followups/FollowUpSheet.vue'
import view from '@/followups/view'
import { lineOf } from '@/testing/day'
import { fakeServer, opened, pressedKey } from '@/testing/fakeServer'
import { messageOf, threadOf } from '@/testing/threads'

const PUT = '/api/follow-ups/{id}'
const STATE = '/api/follow-ups/{id}/state'
const DONE = { commandId: 'c1', label: 'Changed', topics: [] }
const body = new DOMWrapper(document.body)
let server: ReturnType<typeof fakeServer>

function answers(more: Partial<FollowUpLine> = {}, rest: object = {}): void {
  server.answers('GET', '/api/follow-ups/{id}', {
    line: lineOf('f1', { title: 'Send the plan', version: 3, ...more }),
    checklist: [],
    note: '',
    repeats: null,
    messages: [
      {
        messageId: 'm1',
        threadId: 't1',
        linkedAt: '2026-03-02T10:00:00Z',
        sentence: '',
        textNow: null,
        removedNow: false,
        snapshot: {
          from: { name: 'Tilda Brandt', address: 'tilda@brandt.example' },
          sentAt: '2026-03-02T09:00:00Z',
          subject: 'Berth 9',
          text: 'Could you send the plan?',
          files: [],
        },
      },
    ],
    ...rest,
  } as never)
}

beforeEach(() => {
  server = fakeServer()
  localStorage.clear()
  answers()
  server.answers('PUT', PUT, DONE)
  server.answers('POST', STATE, DONE)
  server.answers('GET', '/api/categories', [
    { id: 'k1', name: 'Berths', hue: 'TIDE', monogram: 'B' },
  ] as never)
  server.answers('GET', '/api/intake', { lines: [], quickChoices: [] } as never)
  server.answers('GET', '/api/threads/{id}', {
    line: threadOf('t1'),
    messages: [messageOf('m1'), messageOf('m2', { sentAt: '2026-03-03T09:00:00Z' })],
  } as never)
})

const open = () => opened(FollowUpSheet, { id: 'f1' })
const find = (test: string) => body.find(`[data-test=${test}]`)
const saved = () => server.sentTo('PUT', PUT).at(-1)

describe('The sheet of a follow-up', () => {
  it('saves another title with everything else as it was, and its version', async () => {
    answers({ firm: true, categoryId: 'k1', effortMinutes: 45, priority: 'HIGH' })
    await open()
    const title = find('sheet-sentence').find('input.font-semibold')
    await title.setValue('Send the plan of berth 9')
    await title.trigger('change')
    await flushPromises()
    expect(saved()).toMatchObject({
      params: { path: { id: 'f1' }, query: { version: 3, following: false } },
      body: {
        title: 'Send the plan of berth 9',
        replyDay: '2026-03-04',
        firm: true,
        categoryId: 'k1',
        effortMinutes: 45,
        priority: 'HIGH',
      },
    })
  })

  it('saves no empty title and none that is the same', async () => {
    await open()
    const title = find('sheet-sentence').find('input.font-semibold')
    await title.setValue('   ')
    await title.trigger('change')
    await title.setValue('Send the plan')
    await title.trigger('keydown', { key: 'Enter' })
    expect(saved()).toBeUndefined()
  })

  it('changes one that comes back alone, unless that is said', async () => {
    answers({ repeats: true })
    await open()
    await find('priority').setValue('LOW')
    await flushPromises()
    expect(saved()).toMatchObject({ params: { query: { following: false } } })
    await find('following').setValue(true)
    await find('priority').setValue('HIGH')
    await flushPromises()
    expect(saved()).toMatchObject({
      params: { query: { following: true } },
      body: { priority: 'HIGH' },
    })
  })

  it('is done by its key or dropped by a button, and opened again', async () => {
    await open()
    await pressedKey('d')
    expect(server.sentTo('POST', STATE).at(-1)?.params).toMatchObject({
      query: { state: 'DONE', version: 3 },
    })
    await find('sheet-drop').trigger('click')
    await flushPromises()
    expect(server.sentTo('POST', STATE).at(-1)?.params).toMatchObject({
      query: { state: 'DROPPED' },
    })
  })

  it('says of an ended one when, and hears no key then', async () => {
    answers({ state: 'DONE', endedAt: '2026-03-03T12:00:00Z' })
    await open()
    expect(find('sheet-sentence').text()).toContain('Done on')
    expect(find('sheet-done').exists()).toBe(false)
    await pressedKey('d')
    expect(server.sentTo('POST', STATE)).toHaveLength(0)
  })

  it('says what went wrong when somebody was quicker, and asks again how it stands', async () => {
    listen(view.listens)
    await open()
    server.refuses('PUT', PUT, 'It was changed elsewhere meanwhile. Look at it and try again.')
    const asked = server.sentTo('GET', '/api/follow-ups/{id}').length
    await find('priority').setValue('LOW')
    await flushPromises()
    expect(useToasts().list.at(-1)?.text).toContain('changed elsewhere meanwhile')
    expect(server.sentTo('GET', '/api/follow-ups/{id}').length).toBeGreaterThan(asked)
  })

  it('shows the message as it stood, the thread as it is, and how much is new there', async () => {
    await open()
    expect(find('snapshot').text()).toContain('Could you send the plan?')
    expect(find('fresh').text()).toBe('1 new in the thread since then')
    await find('show-thread').trigger('click')
    expect(find('snapshot').exists()).toBe(false)
    expect(body.text()).toContain('Words of m2')
    await find('show-both').trigger('click')
    expect(find('snapshot').exists()).toBe(true)
    expect(body.text()).toContain('Words of m2')
  })

  it('says when it cannot be loaded', async () => {
    server.refuses('GET', '/api/follow-ups/{id}', 'This follow-up is not there any more.')
    await open()
    expect(body.text()).toContain('This follow-up could not be loaded')
    expect(body.text()).toContain('This follow-up is not there any more.')
  })
})
