import { VueQueryPlugin } from '@tanstack/vue-query'
import { flushPromises, mount, type VueWrapper } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { client, unwrap } from '@/api/client'
import { queryClient } from '@/api/queries'
import { showProblem, useToasts } from '@/api/toasts'
import App from '@/app/App.vue'
import { keepCapture, useCapture } from '@/capture/open'
import FirstVisit from '@/session/FirstVisit.vue'
import SignIn from '@/session/SignIn.vue'
import { fakeServer } from '@/testing/fakeServer'
import { useAccountCalendar } from '@/ui/accountCalendar'
import { keyFor } from '@/ui/keys'
import Note from '@/ui/Note.vue'

let server: ReturnType<typeof fakeServer>
let page: VueWrapper
const streams: { closed: boolean }[] = []

beforeEach(() => {
  localStorage.clear()
  streams.length = 0
  vi.stubGlobal(
    'EventSource',
    class {
      closed = false
      constructor() {
        streams.push(this)
      }
      addEventListener(): void {
        // Nothing comes.
      }
      close(): void {
        this.closed = true
      }
    },
  )
  server = fakeServer()
  server.answers('GET', '/api/guide', { over: true })
  server.answers('GET', '/api/preferences', {
    keys: { 'Intake: Follow up': 'x' },
  } as never)
  server.answers('GET', '/api/calendar', {
    now: '2026-03-04T10:00:00Z',
    zone: 'Europe/Lisbon',
    monthFirst: false,
    workingDays: ['MONDAY'],
    minutesOfADay: 420,
    off: [],
  } as never)
})
afterEach(() => {
  page.unmount()
  vi.unstubAllGlobals()
})

function session(state: string, account: string | null = null): void {
  server.answers('GET', '/api/session', {
    state,
    account: account && { id: account, name: account },
  } as never)
}

/** The page with what stands in it left out. */
async function open(): Promise<void> {
  page = mount(App, {
    shallow: true,
    global: {
      plugins: [[VueQueryPlugin, { queryClient }]],
      stubs: { RouterView: true, Note: false },
    },
  })
  await flushPromises()
}

describe('The page', () => {
  it('asks who it is, and makes the first account at the first visit', async () => {
    session('SIGNED_OUT')
    await open()
    expect(page.findComponent(SignIn).exists()).toBe(true)
    expect(page.find('main').exists()).toBe(false)
    expect(streams).toHaveLength(0)
    session('FIRST_VISIT')
    await queryClient.invalidateQueries({ queryKey: ['session'] })
    await flushPromises()
    expect(page.findComponent(FirstVisit).exists()).toBe(true)
  })

  it('says when nobody answers and that nothing is lost, and tries again', async () => {
    await open()
    expect(page.findComponent(Note).text()).toContain('Nothing is lost')
    session('SIGNED_OUT')
    await page.findComponent(Note).find('button').trigger('click')
    await flushPromises()
    expect(page.findComponent(SignIn).exists()).toBe(true)
  })

  it('follows changes and counts days and keys as the account does', async () => {
    session('SIGNED_IN', 'ines')
    await open()
    expect(page.find('main').exists()).toBe(true)
    expect(streams.map((one) => one.closed)).toEqual([false])
    expect(useAccountCalendar()).toMatchObject({ zone: 'Europe/Lisbon', minutesOfADay: 420 })
    expect(keyFor('Intake', { key: 'f', does: 'Follow up', run: () => undefined })).toEqual({
      key: 'x',
      shift: false,
    })
  })

  it('asks who it is as soon as the server does not know the session any more', async () => {
    session('SIGNED_IN', 'ines')
    await open()
    session('SIGNED_OUT')
    const refused = { error: {}, response: new Response(null, { status: 401 }) }
    vi.spyOn(client, 'GET').mockResolvedValueOnce(refused as never)
    await expect(unwrap(client.GET('/api/sources'))).rejects.toThrow('You are signed out')
    await flushPromises()
    expect(page.findComponent(SignIn).exists()).toBe(true)
    expect(streams.at(-1)?.closed).toBe(true)
  })

  it('lets whoever signs in again go on, with what was typed and said', async () => {
    session('SIGNED_IN', 'ines')
    await open()
    useCapture().text = 'call the crane firm'
    showProblem(new Error('You are signed out. Sign in again; drafts are kept.'))
    for (const [state, account] of [
      ['SIGNED_OUT', null],
      ['SIGNED_IN', 'ines'],
    ] as const) {
      session(state, account)
      await queryClient.invalidateQueries({ queryKey: ['session'] })
      await flushPromises()
      expect(useCapture().text).toBe('call the crane firm')
      expect(useToasts().list).toHaveLength(1)
    }
    expect(streams.map((one) => one.closed)).toEqual([true, false])
  })

  it('shows the next account nothing of the one before, at this page or after it was loaded again', async () => {
    session('SIGNED_IN', 'ines')
    await open()
    useCapture().text = 'call the crane firm'
    queryClient.setQueryData(['intake'], { lines: ['hers'] })
    session('SIGNED_OUT')
    await queryClient.invalidateQueries({ queryKey: ['session'] })
    await flushPromises()
    session('SIGNED_IN', 'tom')
    await queryClient.invalidateQueries({ queryKey: ['session'] })
    await flushPromises()
    expect(useCapture().text).toBe('')
    expect(queryClient.getQueryData(['intake'])).toBeUndefined()

    keepCapture('ring the mayor')
    page.unmount()
    session('SIGNED_IN', 'ines')
    queryClient.clear()
    await open()
    expect(useCapture().text).toBe('')
    expect(localStorage.getItem('squallnote.capture')).toBeNull()
  })
})
