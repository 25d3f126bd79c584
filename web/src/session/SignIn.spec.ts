import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { client } from '@/api/client'
import SignIn from '@/session/SignIn.vue'

interface Answer {
  data?: unknown
  error?: unknown
  response: Response
}

const answers: Answer[] = []
const sent: unknown[] = []

beforeEach(() => {
  vi.useFakeTimers()
  vi.spyOn(client, 'POST').mockImplementation(((_path: string, request: { body: unknown }) => {
    sent.push(request.body)
    return Promise.resolve(answers.shift())
  }) as never)
})
afterEach(() => {
  answers.length = 0
  sent.length = 0
  vi.useRealTimers()
  vi.restoreAllMocks()
})

function ok(data: unknown): Answer {
  return { data, response: new Response('', { status: 200 }) }
}

async function submit(page: ReturnType<typeof mount>): Promise<void> {
  await page.find('form').trigger('submit')
  await flushPromises()
}

describe('signing in', () => {
  it('asks for a code where one is needed and sends it with the password', async () => {
    answers.push(ok({ state: 'CODE_NEEDED', account: null }), ok({ state: 'SIGNED_IN' }))
    const page = mount(SignIn)
    await page.find('[name=username]').setValue('ines')
    await page.find('[name=password]').setValue('secret words')
    expect(page.find('[name=code]').exists()).toBe(false)
    await submit(page)
    await page.find('[name=code]').setValue('123456')
    await submit(page)
    expect(sent.at(-1)).toEqual({ signIn: 'ines', password: 'secret words', code: '123456' })
  })

  it('waits and tries again by itself after too many wrong passwords', async () => {
    const response = new Response('', { status: 429, headers: { 'Retry-After': '2' } })
    answers.push({ error: { detail: 'Too many.' }, response }, ok({ state: 'SIGNED_IN' }))
    const page = mount(SignIn)
    await submit(page)
    expect(page.find('[data-test=waiting]').text()).toContain('2 seconds; nothing is locked')
    await vi.advanceTimersByTimeAsync(2_000)
    expect(sent).toHaveLength(2)
  })
})
