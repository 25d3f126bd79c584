import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { AnswerView } from '@/api/client'
import { fakeServer, opened, pressed, submitted } from '@/testing/fakeServer'
import AnswersGiven from '@/threads/AnswersGiven.vue'

const answer: AnswerView = {
  messageId: 'm1',
  name: 'Tilda Brandt',
  at: '2026-03-03T09:00:00Z',
  what: 'Could you send the chart?',
  words: 'We have registered your request.',
  verdict: 'ANSWER',
  missing: '',
}
let server: ReturnType<typeof fakeServer>

beforeEach(() => {
  server = fakeServer()
  server.answers('PUT', '/api/threads/{id}/answers/{messageId}', {
    commandId: 'c1',
    label: 'Done',
    topics: [],
  })
})
afterEach(() => {
  vi.restoreAllMocks()
  document.body.innerHTML = ''
})

const said = () =>
  server.sentTo('PUT', '/api/threads/{id}/answers/{messageId}').map((sent) => sent.body)
const shown = (...answers: AnswerView[]) =>
  opened(AnswersGiven, { threadId: 't1', answers, closed: false })

describe('the answers of a thread', () => {
  it('are no answers, once or for all that are alike', async () => {
    const page = await shown(answer)
    await pressed(page, 'That is not what I asked')
    await pressed(page, 'Only this one')
    await pressed(page, 'That is not what I asked')
    await pressed(page, 'All like it')
    expect(said()).toEqual([
      { verdict: 'NO_ANSWER', missing: '', always: false },
      { verdict: 'NO_ANSWER', missing: '', always: true },
    ])
  })

  it('are a part, with what is still missing', async () => {
    const page = await shown(answer)
    await pressed(page, 'Partly')
    await page.find('[data-test=missing]').setValue('the chart')
    await submitted(page)
    expect(said()).toEqual([{ verdict: 'PARTLY', missing: 'the chart', always: false }])
  })

  it('are all that is needed, which closes the thread', async () => {
    const page = await shown(answer)
    await pressed(page, 'It is all I need')
    expect(page.emitted('close')).toHaveLength(1)
  })

  it('count after all', async () => {
    const page = await shown({ ...answer, verdict: 'NO_ANSWER' })
    expect(page.text()).toContain('which is no answer')
    await pressed(page, 'It is an answer')
    expect(said()).toEqual([{ verdict: 'ANSWER', missing: '', always: false }])
  })

  it('are only the newest until more are wanted', async () => {
    const page = await shown(
      ...['a', 'b', 'c', 'd', 'e'].map((id) => ({ ...answer, messageId: id })),
    )
    expect(page.findAll('[data-test=no-answer]')).toHaveLength(3)
    await pressed(page, '2 more answers')
    expect(page.findAll('[data-test=no-answer]')).toHaveLength(5)
  })
})
