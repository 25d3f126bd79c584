import { flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { showDone, showOffer, showProblem, useToasts } from '@/api/toasts'
import { opened } from '@/testing/fakeServer'
import Toasts from '@/ui/Toasts.vue'

let page: Awaited<ReturnType<typeof opened>>
beforeEach(() => {
  vi.useFakeTimers()
})
afterEach(() => {
  useToasts().$reset()
  page.unmount()
  vi.useRealTimers()
})

const shown = () =>
  [...document.querySelectorAll('[data-test=toast]')].map((one) => one.textContent)

async function passes(ms: number): Promise<void> {
  await vi.advanceTimersByTimeAsync(ms)
  await flushPromises()
}

describe('short messages', () => {
  it('go by themselves, but not a problem', async () => {
    page = await opened(Toasts)
    showDone('Nothing to do: Tilda')
    showProblem(new Error('The application does not answer.'))
    await passes(9_000)
    expect(shown()).toHaveLength(2)
    await passes(2_000)
    expect(useToasts().list.map((toast) => toast.text)).toEqual([
      'The application does not answer.',
    ])
    await passes(600_000)
    expect(useToasts().list).toHaveLength(1)
  })

  it('wait while somebody is on them', async () => {
    page = await opened(Toasts)
    showDone('Nothing to do: Tilda', () => Promise.resolve())
    await passes(5_000)
    const one = document.querySelector('[data-test=toast]')
    one?.dispatchEvent(new MouseEvent('pointermove', { bubbles: true }))
    await passes(60_000)
    expect(useToasts().list).toHaveLength(1)
    one?.parentElement?.dispatchEvent(new MouseEvent('pointerleave'))
    await passes(20_000)
    expect(useToasts().list).toHaveLength(0)
  })

  it('take back what was done, once', async () => {
    page = await opened(Toasts)
    const undo = vi.fn(() => Promise.resolve())
    showDone('Nothing to do: Tilda', undo)
    await passes(0)
    document.querySelector<HTMLElement>('[data-test=undo]')?.click()
    await passes(0)
    expect(undo).toHaveBeenCalledTimes(1)
    expect(useToasts().list).toHaveLength(0)
  })

  it('offer a next step for longer', async () => {
    page = await opened(Toasts)
    const run = vi.fn()
    showOffer('They may owe you something.', 'Follow up', run)
    await passes(20_000)
    document.querySelector<HTMLElement>('[data-test=toast-action]')?.click()
    expect(run).toHaveBeenCalledTimes(1)
  })
})
