import { flushPromises } from '@vue/test-utils'
import { beforeEach, describe, expect, it } from 'vitest'
import type { CategoryView, IntakeLine } from '@/api/client'
import BulkBar from '@/intake/BulkBar.vue'
import { fakeServer, opened, pressed, pressedKey, submitted } from '@/testing/fakeServer'
import { shiftDay, today } from '@/ui/time'

const line = (id: string, from: string) => ({ id, from }) as IntakeLine
const category = (id: string, name: string, letter: string, retired = false) =>
  ({
    id,
    name,
    letter,
    hue: 'TIDE',
    monogram: name.slice(0, 2),
    retired,
  }) as unknown as CategoryView
const NEXT = shiftDay(today(), 1)
const LATER = shiftDay(today(), 2)
const PROPS = {
  picked: [line('m1', 'Oona Fairweather'), line('m2', 'Tilda Brandt')],
  ways: [
    { key: '1', label: 'from Oona', ids: ['m1', 'm3', 'm4'] },
    { key: '2', label: 'automatic ones', ids: ['m5'] },
  ],
  categories: [
    category('c1', 'Crane', 'c'),
    category('c2', 'Berths', 'b'),
    category('c3', 'Old quay', 'o', true),
  ],
  choices: [
    { label: 'Next working day', day: NEXT },
    { label: 'In two days', day: LATER },
  ],
}

beforeEach(() => {
  const server = fakeServer()
  server.answers('GET', '/api/session', { account: { name: 'Ines Calloway' } } as never)
  server.answers('GET', '/api/follow-ups', { open: [], later: [], ended: [], undated: 0 } as never)
  server.answers('GET', '/api/sources', [])
  server.answers('GET', '/api/intake', { lines: [], quickChoices: [] } as never)
  server.answers('GET', '/api/capture/people', [])
  server.answers('GET', '/api/colleagues', [])
})

const open = (more: Record<string, unknown> = {}) => opened(BulkBar, { ...PROPS, ...more })
type Page = Awaited<ReturnType<typeof open>>
const decided = (page: Page) => page.emitted<[Record<string, unknown>]>('decide')?.map(([it]) => it)

describe('One decision for several messages', () => {
  it('says how many there are and from whom, the first three by name', async () => {
    const page = await open()
    expect(page.text()).toContain('2 picked from Oona Fairweather, Tilda Brandt')
    await page.setProps({
      picked: ['Ann', 'Bo', 'Cal', 'Dee', 'Eve', 'Ann'].map((name, i) => line(`m${i}`, name)),
    })
    expect(page.text()).toContain('6 picked from Ann, Bo, Cal and 2 more')
  })

  it('is nothing to do by a letter', async () => {
    const page = await open()
    await pressedKey('n')
    expect(decided(page)).toEqual([{ decision: 'NOTHING', day: null, categoryId: null }])
  })

  it('makes each as proposed by two keys, since the button has the focus', async () => {
    const page = await open()
    await pressedKey('f')
    expect(document.activeElement?.getAttribute('data-test')).toBe('several-own')
    await page.find('[data-test=several-own]').trigger('click')
    expect(decided(page)).toEqual([{ decision: 'FOLLOW_UP', day: null, categoryId: null }])
  })

  it('makes all in a category by its letter, of those in use', async () => {
    const page = await open()
    await pressedKey('f')
    const box = page.find('[data-test=several-sentence]')
    await box.trigger('keydown', { key: 'b' })
    await box.trigger('keydown', { key: 'o' })
    await box.trigger('keydown', { key: 'c', ctrlKey: true })
    expect(decided(page)).toEqual([{ decision: 'FOLLOW_UP', day: null, categoryId: 'c2' }])
    expect(page.text()).not.toContain('Old quay')
  })

  it('makes all by one day', async () => {
    const page = await open()
    await pressedKey('f')
    await pressed(page, 'In two days')
    expect(decided(page)).toMatchObject([{ decision: 'FOLLOW_UP', day: LATER }])
  })

  it('puts all off until a day', async () => {
    const page = await open()
    await pressedKey('p')
    expect(page.text()).toContain('Put all 2 off')
    await pressed(page, 'In two days')
    expect(decided(page)).toEqual([{ decision: 'PUT_OFF', day: LATER, categoryId: null }])
  })

  it('hands all over with one word', async () => {
    const page = await open()
    await pressedKey('h')
    await page.find('[data-test=hand-over-to]').setValue('gus@merrowquay.example')
    await submitted(page)
    expect(decided(page)).toMatchObject([
      { decision: 'HAND_OVER', handOver: { address: 'gus@merrowquay.example' } },
    ])
  })

  it('picks more that are alike by a digit, and nothing by one that is no way', async () => {
    const page = await open()
    await pressedKey('m')
    await pressedKey('3')
    expect(page.emitted('pick')).toBeUndefined()
    await pressedKey('1')
    expect(page.emitted('pick')).toEqual([[['m1', 'm3', 'm4']]])
    expect(page.find('[data-test=several-nothing]').exists()).toBe(true)
  })

  it('goes back by Escape, and then lets all go', async () => {
    const page = await open()
    await pressedKey('m')
    await pressedKey('n')
    expect(decided(page)).toBeUndefined()
    await pressedKey('Escape')
    expect(page.emitted('clear')).toBeUndefined()
    await pressedKey('Escape')
    expect(page.emitted('clear')).toHaveLength(1)
  })

  it('opens what is one row of the list', async () => {
    const page = await open({ fold: 'in Regatta helpers' })
    expect(page.text()).toContain('2 messages in Regatta helpers, decided as one')
    await page.find('[data-test=show-each]').trigger('click')
    await flushPromises()
    expect(page.emitted('unfold')).toHaveLength(1)
  })
})
