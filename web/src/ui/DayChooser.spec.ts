import { flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { fakeServer, opened } from '@/testing/fakeServer'
import DayChooser from '@/ui/DayChooser.vue'

const CHOICES = [
  { label: 'Today', day: '2026-03-04' },
  { label: 'Next working day', day: '2026-03-05' },
]
const FOUND = {
  day: '2026-12-15',
  time: null,
  off: '',
  due: 0,
  dueMinutes: 0,
  freeMinutes: 400,
  full: false,
  roomOn: null,
}

let server: ReturnType<typeof fakeServer>
const outside = vi.fn()
beforeEach(() => {
  server = fakeServer()
  server.answers('GET', '/api/day', FOUND)
  vi.stubGlobal('matchMedia', () => ({ matches: false }))
  document.addEventListener('keydown', outside)
})
afterEach(() => {
  document.removeEventListener('keydown', outside)
  outside.mockReset()
  vi.unstubAllGlobals()
  vi.restoreAllMocks()
  document.body.innerHTML = ''
})

async function chooser() {
  const page = await opened(DayChooser, { choices: CHOICES })
  const field = page.find('[data-test=typed-day]')
  return {
    page,
    field,
    press: async (key: string) => {
      await field.trigger('keydown', { key })
      await flushPromises()
    },
  }
}

describe('choosing a day', () => {
  it('begins in the field', async () => {
    const { field } = await chooser()
    expect(document.activeElement).toBe(field.element)
  })

  it('takes a choice by its digit and Enter', async () => {
    const { page, field, press } = await chooser()
    await field.setValue('2')
    expect(page.emitted('choose')).toBeUndefined()
    expect(page.find('[data-test=typed-day-read]').text()).toContain('Next working day')
    await press('Enter')
    expect(page.emitted('choose')).toEqual([['2026-03-05', null]])
  })

  it('reads a hundred dates that begin with a digit, each as what is typed', async () => {
    const { page, field, press } = await chooser()
    for (let i = 0; i < 100; i++) {
      const text = `${(i % 28) + 1} ${['dec', 'mar', 'days', 'weeks'][i % 4] ?? ''}`
      for (let typed = 1; typed <= text.length; typed++) {
        await press(text[typed - 1] ?? '')
        await field.setValue(text.slice(0, typed))
      }
      await press('Enter')
      const asked = server.sentTo('GET', '/api/day').at(-1)?.params
      expect(asked).toEqual({ query: { text } })
      expect(page.emitted('choose')).toHaveLength(i + 1)
      expect(page.emitted('choose')?.at(-1)).toEqual(['2026-12-15', null])
    }
  })

  it('lets nothing out but what leads out', async () => {
    const { press } = await chooser()
    for (const key of ['1', 'c', ' ', 'ArrowDown', 'Enter', 'n']) {
      await press(key)
    }
    expect(outside).not.toHaveBeenCalled()
    await press('Escape')
    expect(outside).toHaveBeenCalledTimes(1)
  })

  it('marks a choice by the arrows', async () => {
    const { page, press } = await chooser()
    await press('ArrowDown')
    await press('ArrowDown')
    expect(page.find('[data-choice="2"]').classes()).toContain('bg-kelp-wash')
    await press('Enter')
    expect(page.emitted('choose')).toEqual([['2026-03-05', null]])
  })

  it('takes what is typed on a choice into the field', async () => {
    const { page, field } = await chooser()
    await page.find('[data-choice="1"]').trigger('keydown', { key: 'f' })
    expect(document.activeElement).toBe(field.element)
    expect((field.element as HTMLInputElement).value).toBe('f')
  })
})
