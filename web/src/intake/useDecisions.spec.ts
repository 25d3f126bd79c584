import { flushPromises } from '@vue/test-utils'
import { beforeEach, describe, expect, it } from 'vitest'
import { computed, ref } from 'vue'
import { run } from '@/api/commands'
import { useToasts } from '@/api/toasts'
import { keepLocally, localDraft } from '@/intake/draft'
import { useDecisions } from '@/intake/useDecisions'
import { fakeServer } from '@/testing/fakeServer'

const ANSWER = '/api/messages/{id}/answer'
const ASKED = '/api/messages/{id}/asked'
const OFFICE = '/api/messages/{id}/office'
const ASKS = '/api/messages/{id}/asks'
const DONE = { commandId: 'c1', label: 'Answered', topics: [] }
const TEXT = { text: 'When can you come?', toAll: false, cc: [], bcc: [] }
const NOBODY = { day: null, time: null, who: '', title: '', people: [] }

let server: ReturnType<typeof fakeServer>
const selected = ref<string | undefined>('m1')
const asksMe = ref(true)

function decisions() {
  return useDecisions({
    selected: computed(() => selected.value),
    asksMe: () => asksMe.value,
    decide: (call) => run(call),
  })
}

const offer = () => useToasts().list.find((toast) => toast.kind === 'offer')

beforeEach(() => {
  localStorage.clear()
  selected.value = 'm1'
  asksMe.value = true
  server = fakeServer()
  server.answers('POST', ANSWER, DONE)
  server.answers('POST', ASKED, NOBODY as never)
  server.answers('POST', ASKS, DONE)
})

describe('An answer', () => {
  it('that went is no draft any more', async () => {
    keepLocally('m1', { text: TEXT.text, toAll: false, cc: '', bcc: '' })
    await decisions().answer(TEXT)
    expect(server.sentTo('POST', ANSWER).at(-1)?.body).toEqual({ ...TEXT, anyway: false })
    expect(localDraft('m1')).toBeUndefined()
    expect(offer()).toBeUndefined()
  })

  it('that did not go stays a draft', async () => {
    server.refuses('POST', ANSWER, 'The mail account is not connected.')
    server.answers('GET', OFFICE, { office: null })
    keepLocally('m1', { text: TEXT.text, toAll: false, cc: '', bcc: '' })
    await decisions().answer(TEXT)
    expect(localDraft('m1')?.text).toBe(TEXT.text)
    expect(offer()).toBeUndefined()
    expect(useToasts().list.map((toast) => toast.text)).toContain(
      'The mail account is not connected.',
    )
  })

  it('to what a colleague has answered meanwhile goes only when that is wanted', async () => {
    server.refuses('POST', ANSWER, 'Gus has answered already.')
    server.answers('GET', OFFICE, {
      office: { state: 'ANSWERED', mine: false, by: 'Gus' },
    } as never)
    await decisions().answer(TEXT)
    expect(offer()?.action?.label).toBe('Send mine all the same')
    server.answers('POST', ANSWER, DONE)
    offer()?.action?.run()
    await flushPromises()
    expect(
      server.sentTo('POST', ANSWER).map((one) => (one.body as { anyway: boolean }).anyway),
    ).toEqual([false, true])
  })

  it('that asks something back offers to wait for it, for those who were asked', async () => {
    const people = [{ name: 'Will', address: 'will@x.example' }]
    server.answers('POST', ASKED, {
      day: '2026-03-06',
      time: null,
      who: 'Will',
      title: 'Await Will’s answer',
      people,
    } as never)
    const make = '/api/messages/{messageId}/follow-ups/{id}'
    server.answers('POST', make, DONE)
    await decisions().answer(TEXT)
    expect(offer()?.text).toContain('You asked Will.')
    // It is about the message that was answered, whatever is open by now.
    selected.value = 'm2'
    offer()?.action?.run()
    await flushPromises()
    expect(server.sentTo('POST', make).at(-1)).toMatchObject({
      params: { path: { messageId: 'm1' } },
      body: { replyDay: '2026-03-06', forReply: false, details: { people } },
    })
  })

  it('counts as sent also when nobody can tell what it asks', async () => {
    server.refuses('POST', ASKED, 'Not now.')
    await decisions().answer(TEXT)
    expect(useToasts().list.map((toast) => toast.text)).toEqual(['Answered'])
  })
})

describe('What was read wrong', () => {
  it('is the other way round from then on, once or always', async () => {
    decisions().wrong(true)
    await flushPromises()
    expect(server.sentTo('POST', ASKS).at(-1)?.params).toMatchObject({
      query: { asks: 'NEVER', always: true },
    })
    asksMe.value = false
    decisions().wrong(false)
    await flushPromises()
    expect(server.sentTo('POST', ASKS).at(-1)?.params).toMatchObject({
      query: { asks: 'YES', always: false },
    })
  })
})

describe('Without an open message', () => {
  it('nothing is sent', async () => {
    selected.value = undefined
    const all = decisions()
    all.nothing()
    all.putOff('2026-03-06')
    all.wrong(true)
    all.addTo('f1')
    all.backToIntake()
    await all.answer(TEXT)
    await flushPromises()
    expect(server.sentTo('POST', ANSWER)).toHaveLength(0)
    expect(useToasts().list).toEqual([])
  })
})
