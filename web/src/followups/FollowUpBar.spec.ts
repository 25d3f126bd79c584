import { beforeEach, describe, expect, it } from 'vitest'
import type { CategoryView, FollowUpChoice, FollowUpLine } from '@/api/client'
import FollowUpBar from '@/followups/FollowUpBar.vue'
import { lineOf } from '@/testing/day'
import { fakeServer, opened, pressed, pressedKey, submitted } from '@/testing/fakeServer'
import { shiftDay, today } from '@/ui/time'

type Page = Awaited<ReturnType<typeof opened>>

const CATEGORIES = [
  { id: 'k1', name: 'Berths', hue: 'TIDE', monogram: 'B' },
  { id: 'k2', name: 'Office', hue: 'MOSS', monogram: 'O' },
] as unknown as CategoryView[]
const NEXT_WEEK = shiftDay(today(), 7)
const BO = { name: 'Bo Lindgren', address: 'bo@yard.example' }

function open(lines: FollowUpLine[], more: Record<string, unknown> = {}): Promise<Page> {
  return opened(FollowUpBar, {
    lines,
    picked: lines.length > 1,
    active: true,
    categories: CATEGORIES,
    choices: [{ label: 'Next week', day: NEXT_WEEK }],
    places: ['Yard'],
    people: [BO],
    ...more,
  })
}

const decided = (page: Page) => page.emitted<[Omit<FollowUpChoice, 'ids'>]>('decide')?.at(-1)?.[0]
const button = (page: Page, test: string) => page.find(`[data-test=${test}]`)

beforeEach(() => {
  fakeServer()
})

describe('What is decided about follow-ups', () => {
  it('ends them by one press, those picked too', async () => {
    const page = await open([lineOf('a'), lineOf('b')])
    expect(page.text()).toContain('2 picked')
    await button(page, 'bar-done').trigger('click')
    expect(decided(page)).toMatchObject({ kind: 'DONE', day: null })
    await button(page, 'bar-drop').trigger('click')
    expect(decided(page)).toMatchObject({ kind: 'DROP' })
  })

  it('takes a priority and a category by their letters, and none by 0', async () => {
    const page = await open([lineOf('a')])
    await button(page, 'bar-priority').trigger('click')
    await button(page, 'bar-priorities').trigger('keydown', { key: 'h' })
    expect(decided(page)).toMatchObject({ kind: 'PRIORITY', priority: 'HIGH' })
    await button(page, 'bar-category').trigger('click')
    await button(page, 'bar-categories').trigger('keydown', { key: '2' })
    expect(decided(page)).toMatchObject({ kind: 'CATEGORY', categoryId: 'k2' })
    await button(page, 'bar-category').trigger('click')
    await button(page, 'bar-categories').trigger('keydown', { key: '0' })
    expect(decided(page)).toMatchObject({ kind: 'CATEGORY', categoryId: null })
  })

  it('knows somebody by name, and takes nothing for nobody', async () => {
    const page = await open([lineOf('a')])
    await button(page, 'bar-person').trigger('click')
    await button(page, 'bar-field').setValue(' bo lindgren ')
    await submitted(page)
    expect(decided(page)).toMatchObject({
      kind: 'PERSON',
      personName: 'bo lindgren',
      personAddress: 'bo@yard.example',
    })
    await button(page, 'bar-person').trigger('click')
    await submitted(page)
    expect(decided(page)).toMatchObject({ kind: 'PERSON', personName: null })
  })

  it('takes minutes as a number, and anything else as not estimated', async () => {
    const page = await open([lineOf('a')])
    for (const [typed, minutes] of [
      ['45', 45],
      ['', null],
      ['-5', null],
      ['soon', null],
    ] as const) {
      await button(page, 'bar-effort').trigger('click')
      await button(page, 'bar-field').setValue(typed)
      await submitted(page)
      expect(decided(page)).toMatchObject({ kind: 'EFFORT', minutes })
    }
  })

  it('puts off past a firm date only when it is said twice', async () => {
    const page = await open([lineOf('a', { firm: true, replyDay: '2000-01-03' })])
    await button(page, 'bar-putOff').trigger('click')
    await pressed(page, 'Next week')
    expect(decided(page)).toBeUndefined()
    expect(page.find('[role=alert]').text()).toContain('That is after a firm date')
    await pressed(page, 'Next week')
    expect(decided(page)).toMatchObject({ kind: 'PUT_OFF', day: NEXT_WEEK, past: true })
  })

  it('lets a date go', async () => {
    const page = await open([lineOf('a')])
    await button(page, 'bar-replyBy').trigger('click')
    await pressed(page, 'Without a date')
    expect(decided(page)).toMatchObject({ kind: 'REPLY_BY', day: null })
  })

  it('goes back with Escape, and begins anew with another follow-up', async () => {
    const page = await open([lineOf('a')])
    await button(page, 'bar-place').trigger('click')
    await button(page, 'bar-field').trigger('keydown', { key: 'Escape' })
    expect(button(page, 'bar-done').exists()).toBe(true)
    await button(page, 'bar-place').trigger('click')
    await page.setProps({ lines: [lineOf('b')] })
    expect(button(page, 'bar-done').exists()).toBe(true)
  })

  it('hears its keys only while it counts and something is open', async () => {
    const page = await open([lineOf('a')], { active: false })
    await pressedKey('d')
    expect(decided(page)).toBeUndefined()
    await page.setProps({ active: true, lines: [lineOf('a', { state: 'DONE' })] })
    await pressedKey('d')
    expect(decided(page)).toBeUndefined()
    await page.setProps({ lines: [lineOf('a')] })
    await pressedKey('d')
    expect(decided(page)).toMatchObject({ kind: 'DONE' })
  })
})
