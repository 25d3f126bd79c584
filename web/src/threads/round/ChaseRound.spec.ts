import { flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { DueView, OpenView } from '@/api/client'
import { queryClient } from '@/api/queries'
import { fakeServer, opened, pressedKey } from '@/testing/fakeServer'
import ChaseRound from '@/threads/round/ChaseRound.vue'

const DONE = { commandId: 'c1', label: 'Done', topics: [] }

function open(threadId: string, what: string): OpenView {
  return {
    threadId,
    subject: 'Crane',
    messageId: 'm1',
    what,
    since: '2026-02-25T10:00:00Z',
    promisedBy: null,
    chaseOn: '2026-03-02',
    why: 'SILENT',
    chases: 0,
    laterThanUsual: false,
    silentMinutes: 2400,
  }
}

function due(name: string, ...asks: OpenView[]): DueView {
  const address = `${name.toLowerCase()}@quay.example`
  return {
    party: { name, address },
    name,
    channel: 'MAIL',
    chases: 0,
    usualMinutes: null,
    others: [],
    room: null,
    exhausted: false,
    open: asks,
    draft: `Hello ${name}, all of it?`,
  }
}

const BO = due('Bo', open('t1', 'Which rope?'), open('t2', 'How long?'))
const TILDA = due('Tilda', open('t3', 'The load chart?'))
let server: ReturnType<typeof fakeServer>

beforeEach(() => {
  server = fakeServer()
  server.answers('GET', '/api/chases/due', {
    due: [BO, TILDA],
    now: '2026-03-04T10:00:00Z',
  })
  server.answers('POST', '/api/threads/{id}/chase', DONE)
  server.answers('POST', '/api/threads/decisions', DONE)
  server.answers('GET', '/api/chases/draft', { text: 'Hello Bo, only one?' })
})
afterEach(() => {
  vi.restoreAllMocks()
  localStorage.clear()
  document.body.innerHTML = ''
})

describe('the chase round', () => {
  it('sends one letter about all that somebody owes, and goes on to the next', async () => {
    const page = await opened(ChaseRound)
    expect(page.find('[data-test=whom]').text()).toBe('Bo')
    expect(page.find('[data-test=letter-shown]').text()).toBe('Hello Bo, all of it?')
    await pressedKey('Enter')
    expect(server.sentTo('POST', '/api/threads/{id}/chase')[0]).toMatchObject({
      params: { path: { id: 't1' } },
      body: { party: 'bo@quay.example', text: 'Hello Bo, all of it?', others: ['t2'], to: null },
    })
    expect(page.find('[data-test=whom]').text()).toBe('Tilda')
  })

  it('leaves single things out of the letter', async () => {
    const page = await opened(ChaseRound)
    await page.findAll('input[type=checkbox]')[1]?.setValue(false)
    await flushPromises()
    expect(page.find('[data-test=letter-shown]').text()).toBe('Hello Bo, only one?')
    await pressedKey('Enter')
    expect(server.sentTo('POST', '/api/threads/{id}/chase')[0]?.body).toMatchObject({ others: [] })
  })

  it('keeps what is typed, over a reload too, until it is sent', async () => {
    let page = await opened(ChaseRound)
    await pressedKey('e')
    await page.find('[data-test=letter-text]').setValue('Bo, please!')
    page.unmount()
    queryClient.clear()
    page = await opened(ChaseRound)
    expect(page.find('[data-test=letter-shown]').text()).toBe('Bo, please!')
    await pressedKey('Enter')
    expect(server.sentTo('POST', '/api/threads/{id}/chase')[0]?.body).toMatchObject({
      text: 'Bo, please!',
    })
    expect(localStorage).toHaveLength(0)
  })

  it('comes back to a letter that could not be sent, with its text', async () => {
    server.refuses('POST', '/api/threads/{id}/chase', 'Bo owes you nothing there any more.')
    const page = await opened(ChaseRound)
    await pressedKey('e')
    await page.find('[data-test=letter-text]').setValue('Bo, please!')
    await page.find('[data-test=letter-text]').trigger('keydown', { key: 'Escape' })
    await pressedKey('Enter')
    await pressedKey('s')
    expect(page.find('[data-test=letter-shown]').text()).toBe('Bo, please!')
  })

  const BO_NOW = due('Bo', open('t1', 'Which rope?'), open('t2', 'How long?'), open('t9', 'When?'))

  async function nowDue(...all: DueView[]): Promise<void> {
    server.answers('GET', '/api/chases/due', { due: all, now: '2026-03-04T10:00:00Z' })
    await queryClient.refetchQueries()
    await flushPromises()
  }

  it('keeps what is typed when more becomes due meanwhile, and says nothing of that', async () => {
    const page = await opened(ChaseRound)
    await pressedKey('e')
    await page.find('[data-test=letter-text]').setValue('Bo, please!')
    await nowDue(TILDA, BO_NOW)
    expect(page.find<HTMLTextAreaElement>('[data-test=letter-text]').element.value).toBe(
      'Bo, please!',
    )
    expect(
      page.findAll<HTMLInputElement>('input[type=checkbox]').map((each) => each.element.checked),
    ).toEqual([true, true, false])
    await page.find('[data-test=letter-text]').trigger('keydown', { key: 'Enter', ctrlKey: true })
    expect(server.sentTo('POST', '/api/threads/{id}/chase')[0]).toMatchObject({
      params: { path: { id: 't1' } },
      body: { text: 'Bo, please!', others: ['t2'] },
    })
  })

  it('drafts again what nobody has touched when more becomes due', async () => {
    const page = await opened(ChaseRound)
    server.answers('GET', '/api/chases/draft', { text: 'Hello Bo, three things?' })
    await nowDue(BO_NOW, TILDA)
    expect(page.find('[data-test=letter-shown]').text()).toBe('Hello Bo, three things?')
    await pressedKey('Enter')
    expect(server.sentTo('POST', '/api/threads/{id}/chase')[0]?.body).toMatchObject({
      others: ['t2', 't9'],
    })
  })

  it('asks to read over what was typed when some of it is answered', async () => {
    const page = await opened(ChaseRound)
    await pressedKey('e')
    await page.find('[data-test=letter-text]').setValue('Bo, please!')
    expect(page.find('[data-test=overtaken]').exists()).toBe(false)
    await nowDue(due('Bo', open('t2', 'How long?')), TILDA)
    expect(page.find('[data-test=overtaken]').text()).toContain('Read it over')
    expect(page.find<HTMLTextAreaElement>('[data-test=letter-text]').element.value).toBe(
      'Bo, please!',
    )
  })

  it('ends the wait in every thread of a letter', async () => {
    await opened(ChaseRound)
    await pressedKey('a')
    await flushPromises()
    const decided = server.sentTo('POST', '/api/threads/decisions')
    expect(decided, 'with one way back').toHaveLength(1)
    expect(decided[0]?.body).toMatchObject({
      choice: 'CLOSE',
      reason: 'ANSWERED',
      threadIds: BO.open.map((each) => each.threadId),
    })
  })

  it('says when nobody is left', async () => {
    const page = await opened(ChaseRound)
    await pressedKey('s')
    await pressedKey('s')
    expect(page.find('[data-test=round-over]').text()).toContain('Everybody who is due')
  })

  it('offers somebody else of the same house, and another way', async () => {
    server.answers('GET', '/api/chases/due', {
      due: [
        {
          ...TILDA,
          chases: 3,
          exhausted: true,
          others: [{ name: 'Rolf', address: 'rolf@quay.example' }],
        },
      ],
      now: '2026-03-04T10:00:00Z',
    })
    const page = await opened(ChaseRound)
    expect(page.text()).toContain('Chased 3 times')
    await pressedKey('w')
    await page.find('[data-test=another-way] button').trigger('click')
    expect(page.find('[data-test=whom]').text()).toBe('rolf@quay.example')
    await pressedKey('Enter')
    expect(server.sentTo('POST', '/api/threads/{id}/chase')[0]?.body).toMatchObject({
      to: 'rolf@quay.example',
    })
  })

  it('goes by chat where there is a room with them alone', async () => {
    server.answers('GET', '/api/chases/due', {
      due: [{ ...TILDA, room: '!tilda' }],
      now: '2026-03-04T10:00:00Z',
    })
    const page = await opened(ChaseRound)
    await pressedKey('w')
    await page.find('[data-test=by-chat]').trigger('click')
    expect(page.text()).toContain('by chat')
    await pressedKey('Enter')
    expect(server.sentTo('POST', '/api/threads/{id}/chase')[0]?.body).toMatchObject({
      room: '!tilda',
      to: null,
    })
  })
})
