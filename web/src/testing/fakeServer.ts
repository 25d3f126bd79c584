import { VueQueryPlugin } from '@tanstack/vue-query'
import { flushPromises, mount, RouterLinkStub, type VueWrapper } from '@vue/test-utils'
import { afterEach, vi } from 'vitest'
import type { Component } from 'vue'
import { client } from '@/api/client'
import { queryClient } from '@/api/queries'
import type { paths } from '@/api/schema'

type Verb = 'GET' | 'POST' | 'PUT' | 'DELETE'

/** What the API answers there, by its own types. */
type Answer<P extends keyof paths, V extends Verb> =
  paths[P] extends Record<Lowercase<V>, { responses: infer R }>
    ? R extends Record<200, { content: { 'application/json': infer B } }>
      ? B
      : R extends Record<201, { content: { 'application/json': infer B } }>
        ? B
        : undefined
    : never

interface Sent {
  to: string
  body: unknown
  params: unknown
}

interface Request {
  body?: unknown
  params?: unknown
}

/** As it goes over the wire: what a form changes later is not changed in what was sent. */
function copied(body: unknown): unknown {
  return body === undefined ? undefined : JSON.parse(JSON.stringify(body))
}

/** Stands in for the server: answers what a test says, and keeps what was sent. What nobody answers is not found. */
export function fakeServer() {
  const answers = new Map<string, unknown>()
  const problems = new Map<string, { status: number; body: unknown; headers: HeadersInit }>()
  const sent: Sent[] = []
  for (const verb of ['GET', 'POST', 'PUT', 'DELETE'] as const) {
    vi.spyOn(client, verb).mockImplementation(((path: string, request: Request = {}) => {
      const to = `${verb} ${path}`
      sent.push({ to, body: copied(request.body), params: request.params })
      const unanswered = { status: 404, body: { detail: `Nobody answers ${to}` }, headers: {} }
      const problem = problems.get(to) ?? (answers.has(to) ? undefined : unanswered)
      if (problem) {
        const { status, body, headers } = problem
        return Promise.resolve({ error: body, response: new Response(null, { status, headers }) })
      }
      return Promise.resolve({
        data: answers.get(to),
        response: new Response(null, { status: 200 }),
      })
    }) as never)
  }
  queryClient.clear()
  return {
    answers<V extends Verb, P extends keyof paths>(verb: V, path: P, answer: Answer<P, V>): void {
      answers.set(`${verb} ${path}`, answer)
      problems.delete(`${verb} ${path}`)
    },
    refuses(
      verb: Verb,
      path: keyof paths,
      detail: string,
      fields: Record<string, string> = {},
    ): void {
      problems.set(`${verb} ${path}`, { status: 422, body: { detail, fields }, headers: {} })
    },
    /** Too often: it may be tried again after some seconds. */
    putsOff(verb: Verb, path: keyof paths, seconds: number): void {
      const headers = { 'Retry-After': String(seconds) }
      problems.set(`${verb} ${path}`, { status: 429, body: { detail: 'Too often.' }, headers })
    },
    /** What was sent to an address, the last one last. */
    sentTo: (verb: Verb, path: keyof paths) => sent.filter((one) => one.to === `${verb} ${path}`),
  }
}

const pages: VueWrapper[] = []
// What stays open would go on listening to keys.
afterEach(() => {
  pages.splice(0).forEach((page) => {
    page.unmount()
  })
})

/** A component with its queries answered, for as long as the test lasts. */
export async function opened(
  component: Component,
  props: Record<string, unknown> = {},
): Promise<VueWrapper> {
  const page = mount(component, {
    props,
    attachTo: document.body,
    global: {
      plugins: [[VueQueryPlugin, { queryClient }]],
      stubs: { RouterLink: RouterLinkStub },
    },
  })
  pages.push(page as VueWrapper)
  await flushPromises()
  return page
}

/** Submits a form and waits for what comes of it. */
export async function submitted(page: VueWrapper, form = 'form'): Promise<void> {
  await page.find(form).trigger('submit')
  await flushPromises()
}

/** Presses the button with that text. */
export async function pressed(page: VueWrapper, text: string): Promise<void> {
  const button = page.findAll('button').find((one) => one.text().startsWith(text))
  if (!button) {
    throw new Error(`There is no button "${text}" in: ${page.text()}`)
  }
  await button.trigger('click')
  await flushPromises()
}

/** Presses a key where nothing has the focus. */
export async function pressedKey(key: string, shiftKey = false): Promise<void> {
  document.body.dispatchEvent(
    new KeyboardEvent('keydown', { key, shiftKey, bubbles: true, cancelable: true }),
  )
  await flushPromises()
}
