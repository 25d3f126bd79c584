import { DOMWrapper, flushPromises } from '@vue/test-utils'
import { beforeEach, describe, expect, it } from 'vitest'
import type { ThreadLine } from '@/api/client'
import { fakeServer, opened } from '@/testing/fakeServer'
import { messageOf, threadOf } from '@/testing/threads'
import ThreadSheet from '@/threads/ThreadSheet.vue'

const DONE = { commandId: 'c1', label: 'Done', topics: [] }

let server: ReturnType<typeof fakeServer>
beforeEach(() => {
  server = fakeServer()
  server.answers('GET', '/api/history/{subjectId}', [] as never)
  server.answers('POST', '/api/threads/decisions', DONE)
  server.answers('POST', '/api/threads/{id}/split/{messageId}', DONE)
})

async function open(more: Partial<ThreadLine> = {}, messages = [messageOf('m1'), messageOf('m2')]) {
  server.answers('GET', '/api/threads/{id}', {
    line: threadOf('t1', { subject: 'Crane quote for pontoon C', turn: 'WITH_ME', ...more }),
    messages,
    answers: [],
    now: '2026-03-04T10:00:00Z',
    lastDecided: null,
  })
  await opened(ThreadSheet, { id: 't1' })
  return there
}

/** A sheet stands outside of what opens it. */
const there = new DOMWrapper(document.body)

async function press(text: string): Promise<void> {
  await there
    .findAll('button')
    .find((button) => button.text().startsWith(text))
    ?.trigger('click')
  await flushPromises()
}

const decided = () => server.sentTo('POST', '/api/threads/decisions').map((one) => one.body)

describe('The sheet of a thread', () => {
  it('says whose turn it is and shows what was written', async () => {
    const page = await open()
    expect(page.text()).toContain('Crane quote for pontoon C')
    expect(page.find('[data-test=turn]').text()).not.toBe('')
    expect(page.text()).toContain('Words of m1')
    expect(page.text()).toContain('Words of m2')
  })

  it('is closed with one of four reasons, and ends no follow-up unasked', async () => {
    const page = await open()
    const reasons = ['ANSWERED', 'DONE_ELSEWHERE', 'NOT_NEEDED', 'GIVEN_UP']
    for (const reason of reasons) {
      await page.find(`[data-test=close-${reason}]`).trigger('click')
      await flushPromises()
    }
    expect(decided()).toEqual(
      reasons.map((reason) => ({
        threadIds: ['t1'],
        choice: 'CLOSE',
        reason,
        day: null,
        endFollowUps: false,
      })),
    )
  })

  it('gives the turn away', async () => {
    await open()
    await press('No reply owed')
    await press('It is their turn')
    expect(decided()).toMatchObject([{ choice: 'NO_REPLY_OWED' }, { choice: 'THEIR_TURN' }])
  })

  it('gives no turn away that is theirs', async () => {
    const page = await open({ turn: 'WITH_OTHERS' })
    expect(page.text()).not.toContain('No reply owed')
  })

  it('opens a closed one again', async () => {
    const page = await open({ turn: 'CLOSED', closedAs: 'NOT_NEEDED' })
    expect(page.find('[data-test=turn]').text()).toContain('not needed')
    expect(page.find('[data-test=close-ANSWERED]').exists()).toBe(false)
    await page.find('[data-test=open-again]').trigger('click')
    await flushPromises()
    expect(decided()).toMatchObject([{ choice: 'OPEN_AGAIN' }])
  })

  it('takes back one that was only watched', async () => {
    const page = await open({ attention: 'WATCHED' })
    expect(page.find('[data-test=attention]').text()).toContain('You only watch this one')
    await press('It is mine again')
    expect(decided()).toMatchObject([{ choice: 'OPEN_AGAIN' }])
  })

  it('says that it is not for me', async () => {
    const page = await open({ attention: 'NOT_MINE' })
    expect(page.find('[data-test=attention]').text()).toContain('not for you')
  })

  it('says why it may be closed, and why it is open again', async () => {
    const page = await open({ closingWord: 'm2', openedAgain: true })
    expect(page.find('[data-test=last-word]').text()).toContain('can be closed')
    expect(page.text()).toContain('Opened again, since they ask something')
  })

  it('is split at any message but the first', async () => {
    const page = await open({}, [messageOf('m1'), messageOf('m2'), messageOf('m3')])
    const splits = page.findAll('[data-test=split]')
    expect(splits).toHaveLength(2)
    await splits[1]?.trigger('click')
    await flushPromises()
    const sent = server.sentTo('POST', '/api/threads/{id}/split/{messageId}')
    expect(sent).toHaveLength(1)
    expect(['m2', 'm3']).toContain(
      (sent[0]?.params as { path: { messageId: string } }).path.messageId,
    )
  })

  it('says what happened where it cannot be loaded', async () => {
    server.refuses('GET', '/api/threads/{id}', 'There is no such thread.')
    await opened(ThreadSheet, { id: 't1' })
    expect(there.text()).toContain('This thread could not be loaded')
    expect(there.text()).toContain('There is no such thread.')
  })
})
