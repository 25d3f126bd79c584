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
  })
  afterEach(() => {
    vi.useRealTimers()
  })

  it('are saved after a pause and when the sheet closes, a step without words not at all', async () => {
    const saved: Details[] = []
    let change: (details: Details) => void = () => undefined
    const wrapper = mount({
      setup() {
        const use = useDetails({
          stored: () => saved.at(-1) ?? EMPTY,
          save: (details) => {
            saved.push(details)
            return Promise.resolve(true)
          },
        })
        change = use.change
        return () => h('div')
      },
    })
    change({ ...EMPTY, checklist: [{ text: ' ', done: false }] })
    await vi.advanceTimersByTimeAsync(1000)
    expect(saved).toHaveLength(0)
    change({ ...EMPTY, note: 'two' })
    change({ ...EMPTY, note: 'two copies' })
    await vi.advanceTimersByTimeAsync(1000)
    expect(saved.map((each) => each.note)).toEqual(['two copies'])
    change({ ...EMPTY, note: 'three' })
    wrapper.unmount()
    await flushPromises()
    expect(saved.at(-1)?.note).toBe('three')
  })
})
