import { flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { Given, Received } from '@/api/client'
import TakerSteps from '@/message/TakerSteps.vue'
import { fakeServer, opened, pressed, submitted } from '@/testing/fakeServer'
import HandOverBoard from '@/threads/HandOverBoard.vue'

const DONE = { commandId: 'c1', label: 'Done', topics: [] }
let server: ReturnType<typeof fakeServer>

function given(more: Partial<Given>): Given {
  return {
    messageId: 'm1',
    threadId: 't1',
    subject: 'Keys for shed 3',
    to: 'Gus Ferrant',
    address: 'gus@quay.example',
    colleague: true,
    state: 'ACCEPTED',
    word: '',
    wantedDay: '2026-03-06',
    theirDay: null,
    laterThanWanted: false,
    waiting: true,
    chaseOn: null,
    offeredAt: '2026-03-03T10:00:00Z',
    changedAt: '2026-03-03T11:00:00Z',
    ...more,
  }
}

const received: Received = {
  messageId: 'm9',
  threadId: 't9',
  subject: 'Fwd: Crane',
  from: 'Bo Lindgren',
  state: 'ACCEPTED',
  word: '',
  wantedDay: null,
  theirDay: null,
  followUp: null,
  offeredAt: '2026-03-03T10:00:00Z',
  changedAt: '2026-03-03T11:00:00Z',
}

beforeEach(() => {
  server = fakeServer()
  server.answers('POST', '/api/messages/{id}/hand-over/working', DONE)
  server.answers('POST', '/api/messages/{id}/hand-over/done', DONE)
  server.answers('POST', '/api/messages/{id}/hand-over/back', DONE)
  server.answers('POST', '/api/messages/{id}/accept', DONE)
  server.answers('POST', '/api/messages/{id}/decline', DONE)
})
afterEach(() => {
  vi.restoreAllMocks()
  document.body.innerHTML = ''
})

const board = (...all: Given[]) => {
  server.answers('GET', '/api/hand-overs', { given: all, received: [] })
  return opened(HandOverBoard)
}

describe('the board of what was handed over', () => {
  it('stands by person, what is open first', async () => {
    const page = await board(
      given({ state: 'DONE', word: 'It is in the shed.' }),
      given({ messageId: 'm2', theirDay: '2026-03-09', laterThanWanted: true }),
      given({ messageId: 'm3', to: 'Bo Lindgren' }),
    )
    const people = page.findAll('[data-test=given-to]').map((each) => each.text())
    expect(people).toHaveLength(2)
    expect(people[0]).toContain('Gus Ferrant1 open')
    const rows = page.findAll('[data-test=given]').map((each) => each.text())
    expect(rows[0]).toContain('they say Mon 9 Mar')
    expect(rows[0]).toContain('you Fri 6 Mar')
    expect(rows[1]).toContain('done: “It is in the shed.”')
  })

  it('knows by the thread when somebody outside has answered', async () => {
    const page = await board(
      given({ colleague: false, state: 'OFFERED', waiting: true }),
      given({ messageId: 'm2', colleague: false, state: 'OFFERED', waiting: false }),
    )
    const rows = page.findAll('[data-test=given]').map((each) => each.text())
    expect(rows[0]).toContain('waiting for their answer')
    expect(rows[1]).toContain('has answered')
    expect(page.findAll('[data-test=board-take-back]')).toHaveLength(1)
  })

  it('takes back, and says what was given to me', async () => {
    server.answers('GET', '/api/hand-overs', { given: [given({})], received: [received] })
    const page = await opened(HandOverBoard)
    expect(page.find('[data-test=received]').text()).toContain('from Bo Lindgren, accepted')
    await page.find('[data-test=board-take-back]').trigger('click')
    expect(server.sentTo('POST', '/api/messages/{id}/hand-over/back')).toHaveLength(1)
  })
})

describe('what I say to something handed over to me', () => {
  const steps = (state: Received['state']) =>
    opened(TakerSteps, { messageId: 'm9', state, wantedDay: '2026-03-06' })

  it('is by when, with a follow-up', async () => {
    const page = await steps('SEEN')
    await page.find('[data-test=accept-hand-over]').trigger('click')
    expect(server.sentTo('POST', '/api/messages/{id}/accept')[0]?.body).toEqual({
      day: '2026-03-06',
      followUp: true,
    })
  })

  it('is that I am at it, and what came of it', async () => {
    const page = await steps('ACCEPTED')
    await pressed(page, 'I am at it')
    await pressed(page, 'Done')
    await page.find('[data-test=taker-word]').setValue('It hangs in the shed.')
    await submitted(page)
    await flushPromises()
    expect(server.sentTo('POST', '/api/messages/{id}/hand-over/working')).toHaveLength(1)
    expect(server.sentTo('POST', '/api/messages/{id}/hand-over/done')[0]?.body).toEqual({
      word: 'It hangs in the shed.',
    })
  })

  it('is that I cannot', async () => {
    const page = await steps('WORKING')
    await pressed(page, 'Give back')
    await page.find('[data-test=taker-word]').setValue('on leave')
    await submitted(page)
    expect(server.sentTo('POST', '/api/messages/{id}/decline')[0]?.body).toEqual({
      word: 'on leave',
    })
  })

  it('is nothing more when it has ended', async () => {
    expect((await steps('DONE')).findAll('button')).toHaveLength(0)
  })
})
