import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { h, ref } from 'vue'
import type { Details, Step } from '@/api/client'
import ChecklistEditor from '@/followups/details/ChecklistEditor.vue'
import { personFrom, suggested } from '@/followups/details/people'
import { useDetails } from '@/followups/details/useDetails'

const EMPTY: Details = { startDay: null, place: '', people: [], checklist: [], note: '' }

describe('people', () => {
  it('are suggested by a few letters, those who are there already left out', () => {
    const bo = { name: 'Bo Lindgren', address: 'bo@yard.example' }
    const tilda = { name: 'Tilda Brandt', address: 'tilda@brandt.example' }
    expect(suggested([bo, tilda, bo], [tilda], '')).toEqual([bo])
    expect(suggested([bo, tilda], [], 'bran')).toEqual([tilda])
    expect(personFrom(' gus@quay.example ')).toEqual({ name: '', address: 'gus@quay.example' })
  })
})

describe('the checklist', () => {
  function open(steps: Step[]) {
    const now = ref(steps)
    const wrapper = mount(
      {
        setup: () => () =>
          h(ChecklistEditor, { steps: now.value, onChange: (to: Step[]) => (now.value = to) }),
      },
      { attachTo: document.body },
    )
    return { now, wrapper }
  }

  it('goes on with Enter and gives an empty step back with Backspace', async () => {
    const { now, wrapper } = open([{ text: 'cleats', done: false }])
    await wrapper.find('input[type=text]').trigger('keydown', { key: 'Enter' })
    expect(now.value).toHaveLength(2)
    await wrapper.findAll('input[type=text]')[1]?.trigger('keydown', { key: 'Backspace' })
    expect(now.value.map((step) => step.text)).toEqual(['cleats'])
  })
})

describe('details', () => {
  beforeEach(() => {
    vi.useFakeTimers()
    localStorage.clear()
  })
  afterEach(() => {
    vi.useRealTimers()
  })

  /** A sheet over what a server keeps, as long as that one answers. */
  function sheet(server: { details: Details; answers: boolean; saves: number }) {
    let use: ReturnType<typeof useDetails> | undefined
    const wrapper = mount({
      setup() {
        use = useDetails({
          id: () => 'f1',
          stored: () => server.details,
          save: (details) => {
            server.saves++
            server.details = server.answers ? details : server.details
            return Promise.resolve(server.answers)
          },
        })
        return () => h('div')
      },
    })
    return {
      note: () => use?.details.value?.note,
      type: (note: string) => use?.change({ ...server.details, note }),
      change: (details: Details) => use?.change(details),
      close: async () => {
        wrapper.unmount()
        await flushPromises()
      },
    }
  }

  it('are saved after a pause and when the sheet closes, a step without words not at all', async () => {
    const server = { details: EMPTY, answers: true, saves: 0 }
    const open = sheet(server)
    open.change({ ...EMPTY, checklist: [{ text: ' ', done: false }] })
    await vi.advanceTimersByTimeAsync(1000)
    expect(server.saves).toBe(0)
    open.type('two')
    open.type('two copies')
    await vi.advanceTimersByTimeAsync(1000)
    expect(server).toMatchObject({ saves: 1, details: { note: 'two copies' } })
    open.type('three')
    await open.close()
    expect(server.details.note).toBe('three')
    expect(localStorage).toHaveLength(0)
  })

  it('that could not be saved are there when the sheet is opened again, and are saved then', async () => {
    const server = { details: EMPTY, answers: false, saves: 0 }
    const before = sheet(server)
    before.type('the key is under the bench')
    await before.close()
    expect(server.details.note).toBe('')

    server.answers = true
    const again = sheet(server)
    expect(again.note()).toBe('the key is under the bench')
    await vi.advanceTimersByTimeAsync(1000)
    expect(server.details.note).toBe('the key is under the bench')
    expect(localStorage).toHaveLength(0)
    await again.close()
  })

  it('changed elsewhere meanwhile are kept, with the note that was typed below', async () => {
    const server = { details: EMPTY, answers: false, saves: 0 }
    const before = sheet(server)
    before.type('ask Bo')
    await before.close()

    server.answers = true
    server.details = { ...EMPTY, place: 'Yard', note: 'ask Tilda' }
    const again = sheet(server)
    await vi.advanceTimersByTimeAsync(1000)
    expect(server.details).toMatchObject({ place: 'Yard' })
    expect(server.details.note).toBe('ask Tilda\n\nTyped before and not saved:\nask Bo')
    await again.close()
  })
})
