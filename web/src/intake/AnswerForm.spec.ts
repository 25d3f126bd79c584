import { flushPromises } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { MessageView } from '@/api/client'
import AnswerForm from '@/intake/AnswerForm.vue'
import { localDraft } from '@/intake/draft'
import { fakeServer, opened, pressed } from '@/testing/fakeServer'
import { mailThatAsks } from '@/testing/messages'

const ASK = 'Could you send me the berth plan before Friday?'
const mail = mailThatAsks(`Good morning. ${ASK}`, ASK, {
  subject: 'Crane quote',
  from: { name: 'Tilda Brandt', address: 'tilda@brandt-cranes.example' },
  cc: [{ name: 'Bo Ashworth', address: 'bo@merrowquay.example' }],
  proposal: { replyBy: '2026-03-05', title: 'Send Tilda the berth plan' },
})

let server: ReturnType<typeof fakeServer>
beforeEach(() => {
  localStorage.clear()
  server = fakeServer()
  server.answers('GET', '/api/session', { account: { name: 'Ines Calloway' } } as never)
  server.answers('GET', '/api/sources', [{ address: '@ines:quay.example' }] as never)
  server.answers('GET', '/api/phrases', [
    { id: 'p1', name: 'Papers', text: 'Dear {name}, could you send me {papers}?\n\n{me}' },
  ] as never)
  server.answers('PUT', '/api/messages/{id}/draft', undefined)
})

const open = (message: MessageView = mail) => opened(AnswerForm, { message })
const field = (page: Awaited<ReturnType<typeof open>>) => page.find('textarea')

describe('An answer', () => {
  it('goes out with the ask quoted above it, unless that is not wanted', async () => {
    const page = await open()
    await field(page).setValue('Here it is.')
    await page.find('form').trigger('submit')
    await page.find('[data-test=quote]').setValue(false)
    await page.find('form').trigger('submit')
    const sent = page.emitted<[{ text: string }]>('send')?.map(([answer]) => answer.text)
    expect(sent).toEqual([
      '> Could you send me the berth plan before Friday?\n\nHere it is.',
      'Here it is.',
    ])
  })

  it('is sent by Ctrl and Enter, and not where nothing is said', async () => {
    const page = await open()
    expect(page.find('[data-test=send]').attributes('disabled')).toBeDefined()
    await field(page).setValue('   ')
    await field(page).trigger('keydown', { key: 'Enter', ctrlKey: true })
    expect(page.emitted('send')).toBeUndefined()
    await field(page).setValue('Yes.')
    await field(page).trigger('keydown', { key: 'Enter', ctrlKey: true })
    expect(page.emitted('send')).toHaveLength(1)
  })

  it('goes to all where there are others, and to further people as they are typed', async () => {
    const page = await open()
    await page.find('input[type=checkbox]:not([data-test=quote])').setValue(true)
    await page.find('[data-test=copies]').trigger('click')
    await page.find('input[name=cc]').setValue('gus@merrowquay.example; lena@merrowquay.example')
    await page.find('input[name=bcc]').setValue('marisol@merrowquay.example')
    await field(page).setValue('Here it is.')
    await page.find('form').trigger('submit')
    expect(page.emitted('send')?.[0]?.[0]).toMatchObject({
      toAll: true,
      cc: ['gus@merrowquay.example', 'lena@merrowquay.example'],
      bcc: ['marisol@merrowquay.example'],
    })
  })

  it('has no choice of people where there is only one', async () => {
    const page = await open({ ...mail, cc: [] })
    expect(page.text()).not.toContain('to all who got it')
  })

  it('keeps every keystroke in this browser, and on the server once nothing is typed', async () => {
    vi.useFakeTimers()
    const page = await open()
    await field(page).setValue('Half a sen')
    expect(localDraft('m1')?.text).toBe('Half a sen')
    expect(server.sentTo('PUT', '/api/messages/{id}/draft')).toHaveLength(0)
    await vi.advanceTimersByTimeAsync(600)
    vi.useRealTimers()
    await flushPromises()
    expect(server.sentTo('PUT', '/api/messages/{id}/draft')[0]?.body).toMatchObject({
      text: 'Half a sen',
    })
    expect(localDraft('m1')).toBeUndefined()
  })

  it('keeps it here where the server is gone, and opens with it again', async () => {
    vi.useFakeTimers()
    server.refuses('PUT', '/api/messages/{id}/draft', 'Gone.')
    const page = await open()
    await field(page).setValue('Half a sentence')
    await vi.advanceTimersByTimeAsync(600)
    vi.useRealTimers()
    await flushPromises()
    page.unmount()
    const again = await open()
    expect(field(again).element.value).toBe('Half a sentence')
  })

  it('begins with what was kept on the server, copies and all', async () => {
    const draft = { text: 'As I said', toAll: true, cc: 'bo@merrowquay.example', bcc: '' }
    const page = await open({ ...mail, draft })
    expect(field(page).element.value).toBe('As I said')
    expect(page.find<HTMLInputElement>('input[name=cc]').element.value).toBe(
      'bo@merrowquay.example',
    )
  })

  it('is left by Escape without losing anything', async () => {
    const page = await open()
    await field(page).setValue('Later')
    await page.find('form').trigger('keydown', { key: 'Escape' })
    expect(page.emitted('cancel')).toHaveLength(1)
    expect(localDraft('m1')?.text).toBe('Later')
  })

  it('takes a phrase where the cursor stands and selects what is to be filled in', async () => {
    const page = await open()
    await field(page).setValue('First. Last.')
    field(page).element.setSelectionRange(7, 7)
    await page.find('[data-test=phrases]').trigger('click')
    await flushPromises()
    await pressed(page, 'Papers')
    const written = field(page).element
    expect(written.value).toBe(
      'First. Dear Tilda, could you send me {papers}?\n\nInes CallowayLast.',
    )
    expect(written.value.slice(written.selectionStart, written.selectionEnd)).toBe('{papers}')
  })

  it('proposes a follow-up where it takes longer than two minutes', async () => {
    vi.useFakeTimers()
    const page = await open()
    expect(page.find('[data-test=answer-clock]').text()).toBe('0:00')
    await vi.advanceTimersByTimeAsync(125_000)
    expect(page.find('[data-test=answer-clock]').text()).toBe('2:05')
    await page.find('[data-test=rather-follow-up]').trigger('click')
    vi.useRealTimers()
    expect(page.emitted('followUp')).toHaveLength(1)
  })
})

describe('An answer in a chat', () => {
  const chat = {
    ...mail,
    channel: 'CHAT',
    from: { name: 'Gus Ferrant', address: '@gus:quay.example' },
    to: [{ name: 'Ines Calloway', address: '@ines:quay.example' }],
    cc: [],
  } as unknown as MessageView

  it('quotes nothing, copies nobody', async () => {
    const page = await open(chat)
    await field(page).setValue('in the shed')
    await page.find('form').trigger('submit')
    expect(page.emitted('send')?.[0]?.[0]).toMatchObject({ text: 'in the shed', cc: [], bcc: [] })
    expect(page.find('[data-test=copies]').exists()).toBe(false)
  })

  it('may be a file alone', async () => {
    const page = await open({
      ...chat,
      draftFiles: [{ id: 'f1', name: 'plan.pdf', size: 900 }],
    })
    expect(page.find('[data-test=send]').attributes('disabled')).toBeUndefined()
  })

  it('offers the others of the room behind an @, not me', async () => {
    const page = await open(chat)
    field(page).element.value = '@'
    field(page).element.setSelectionRange(1, 1)
    await field(page).trigger('input')
    await flushPromises()
    const names = page.findAll('[data-test=mentions] li').map((one) => one.text())
    expect(names).toHaveLength(1)
    expect(names[0]).toContain('Gus Ferrant')
  })
})
