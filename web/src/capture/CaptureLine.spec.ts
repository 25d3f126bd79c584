import { flushPromises } from '@vue/test-utils'
import { beforeEach, describe, expect, it } from 'vitest'
import { nextTick } from 'vue'
import type { CaptureItem, CaptureView } from '@/api/client'
import CaptureLine from '@/capture/CaptureLine.vue'
import { keepCapture, openCapture, useCapture } from '@/capture/open'
import { fakeServer, opened } from '@/testing/fakeServer'

const DONE = { commandId: 'c1', label: 'Made', topics: [] }
const KEPT = 'squallnote.capture'

function item(title: string, more: Partial<CaptureItem> = {}): CaptureItem {
  return {
    title,
    replyDay: '2026-03-06',
    replyTime: null,
    firm: false,
    effortMinutes: 15,
    categoryId: null,
    people: [],
    place: '',
    repeats: '',
    steps: [],
    words: [],
    offers: [],
    taken: true,
    why: '',
    ...more,
  }
}

let server: ReturnType<typeof fakeServer>
beforeEach(() => {
  server = fakeServer()
  server.answers('GET', '/api/categories', [])
  server.answers('GET', '/api/intake', { lines: [], quickChoices: [] } as never)
  server.answers('GET', '/api/follow-ups', { open: [], later: [], ended: [], undated: 0 } as never)
  server.answers('POST', '/api/follow-ups', DONE)
  reads([item('Call the crane firm')])
  useCapture().open = false
  useCapture().note = ''
  keepCapture('')
})

function reads(items: CaptureItem[], more: Partial<CaptureView> = {}): void {
  server.answers('POST', '/api/capture/read', { items, rest: '', sort: 'LINE', ...more } as never)
}

/** The dialog stands outside of the component that opens it. */
const there = (test: string) => document.querySelector<HTMLElement>(`[data-test=${test}]`)

async function begin(): Promise<void> {
  await opened(CaptureLine)
  openCapture()
  await nextTick()
  await flushPromises()
}

async function typed(text: string): Promise<void> {
  const field = there('capture-field') as HTMLTextAreaElement
  field.value = text
  field.dispatchEvent(new Event('input', { bubbles: true }))
  await flushPromises()
}

async function entered(more: KeyboardEventInit = {}): Promise<void> {
  there('capture-field')?.dispatchEvent(
    new KeyboardEvent('keydown', { key: 'Enter', bubbles: true, cancelable: true, ...more }),
  )
  await flushPromises()
}

const made = () =>
  server
    .sentTo('POST', '/api/follow-ups')
    .map((one) => one.body as { followUps: { content: Record<string, unknown> }[] })

describe('The capture line', () => {
  it('makes a follow-up by Enter, as it was read at that moment, and takes the next line', async () => {
    await begin()
    await typed('call the crane firm by Friday, 15 min')
    await entered()
    expect(made()[0]?.followUps[0]?.content).toMatchObject({
      title: 'Call the crane firm',
      replyDay: '2026-03-06',
      effortMinutes: 15,
    })
    expect(there('capture-made')?.textContent).toContain('Made: Call the crane firm')
    expect((there('capture-field') as HTMLTextAreaElement).value).toBe('')
    expect(useCapture().open).toBe(true)
  })

  it('keeps what is typed in this browser until it is made', async () => {
    await begin()
    await typed('half a thou')
    expect(localStorage.getItem(KEPT)).toBe('half a thou')
    useCapture().open = false
    await nextTick()
    openCapture()
    await nextTick()
    await flushPromises()
    expect((there('capture-field') as HTMLTextAreaElement).value).toBe('half a thou')
    await entered()
    expect(localStorage.getItem(KEPT)).toBeNull()
  })

  it('loses nothing where it could not be made', async () => {
    server.refuses('POST', '/api/follow-ups', 'The disk is full. Nothing was made.')
    await begin()
    await typed('call the crane firm')
    await entered()
    expect(useCapture().text).toBe('call the crane firm')
    expect(there('capture-made')).toBeNull()
  })

  it('says what is wrong where it could not be read', async () => {
    server.refuses('POST', '/api/capture/read', 'At most 200 lines at a time.')
    await begin()
    await typed('call')
    await entered()
    expect(document.body.textContent).toContain('At most 200 lines at a time.')
    expect(made()).toEqual([])
  })

  it('makes one of each line of a list by Ctrl and Enter, and no line by Enter alone', async () => {
    reads([item('Grease the crane'), item('Paint the ladder')])
    await begin()
    await typed('grease the crane\npaint the ladder')
    await entered()
    expect(made()).toEqual([])
    await entered({ ctrlKey: true })
    expect(made()[0]?.followUps.map((each) => each.content.title)).toEqual([
      'Grease the crane',
      'Paint the ladder',
    ])
  })

  it('takes of notes what carries an action, and says so', async () => {
    reads([item('Grease the crane'), item('It rained', { taken: false, why: 'no action' })], {
      sort: 'NOTES',
    })
    await begin()
    await typed('grease the crane\nit rained')
    await entered({ ctrlKey: true })
    expect(made()[0]?.followUps).toHaveLength(1)
  })

  it('keeps the lines beyond the first many for afterwards', async () => {
    reads([item('Grease the crane')], { rest: 'one more\nand another' })
    await begin()
    await typed('grease the crane\none more\nand another')
    await entered({ ctrlKey: true })
    expect(useCapture().text).toBe('one more\nand another')
    expect(localStorage.getItem(KEPT)).toBe('one more\nand another')
  })

  it('makes nothing of nothing', async () => {
    await begin()
    await typed('   ')
    await entered()
    expect(made()).toEqual([])
    expect(there('capture-make')?.hasAttribute('disabled')).toBe(true)
  })

  it('puts the address of a shared page into the note', async () => {
    await opened(CaptureLine)
    openCapture({
      title: 'Tide tables',
      url: 'https://tide.example/t',
      text: 'for the whole coast',
    })
    await nextTick()
    await flushPromises()
    expect(there('capture-note')?.textContent).toContain('https://tide.example/t')
    await entered()
    expect(made()[0]?.followUps[0]?.content).toMatchObject({
      details: { note: 'https://tide.example/t\nfor the whole coast' },
    })
    expect(useCapture().note).toBe('')
  })
})
