import { flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import SignIn from '@/session/SignIn.vue'
import { fakeServer, opened, pressed, submitted } from '@/testing/fakeServer'

const passkeys = vi.hoisted(() => ({
  impossible: '',
  signIn: vi.fn<() => Promise<void>>(),
}))
vi.mock('@/api/passkeys', () => ({
  whyNoPasskeys: () => passkeys.impossible,
  signInWithPasskey: passkeys.signIn,
}))

let server: ReturnType<typeof fakeServer>
beforeEach(() => {
  server = fakeServer()
  passkeys.impossible = ''
  passkeys.signIn.mockReset().mockResolvedValue()
})
afterEach(() => {
  vi.useRealTimers()
  vi.restoreAllMocks()
})

const signedIn = { state: 'SIGNED_IN', account: null } as never
const tries = () => server.sentTo('POST', '/api/session')

describe('signing in', () => {
  it('asks for a code where one is needed and sends it with the password', async () => {
    server.answers('POST', '/api/session', { state: 'CODE_NEEDED', account: null } as never)
    const page = await opened(SignIn)
    await page.find('[name=username]').setValue('ines')
    await page.find('[name=password]').setValue('secret words')
    expect(page.find('[name=code]').exists()).toBe(false)
    await submitted(page)
    expect(page.text()).toContain('Code of your device, or a recovery code')
    expect(document.activeElement).toBe(page.find('[name=code]').element)
    server.answers('POST', '/api/session', signedIn)
    await page.find('[name=code]').setValue('123456')
    await submitted(page)
    expect(tries().at(-1)?.body).toEqual({
      signIn: 'ines',
      password: 'secret words',
      code: '123456',
    })
  })

  it('asks for a recovery code where only a passkey would do', async () => {
    server.answers('POST', '/api/session', {
      state: 'RECOVERY_CODE_NEEDED',
      account: null,
    } as never)
    const page = await opened(SignIn)
    await submitted(page)
    expect(page.text()).toContain('Recovery code, if your passkey is not at hand')
  })

  it('says what the server refuses', async () => {
    server.refuses('POST', '/api/session', 'The name or the password is wrong.')
    const page = await opened(SignIn)
    await submitted(page)
    expect(page.find('[role=alert]').text()).toBe('The name or the password is wrong.')
  })

  it('waits and tries again by itself after too many wrong passwords', async () => {
    vi.useFakeTimers()
    server.putsOff('POST', '/api/session', 2)
    const page = await opened(SignIn)
    await submitted(page)
    expect(page.find('[data-test=waiting]').text()).toContain('2 seconds; nothing is locked')
    server.answers('POST', '/api/session', signedIn)
    await vi.advanceTimersByTimeAsync(2_000)
    expect(tries()).toHaveLength(2)
  })

  it('stops waiting when something else is typed', async () => {
    vi.useFakeTimers()
    server.putsOff('POST', '/api/session', 2)
    const page = await opened(SignIn)
    await submitted(page)
    await page.find('[name=password]').setValue('another one')
    await vi.advanceTimersByTimeAsync(5_000)
    expect(page.find('[data-test=waiting]').exists()).toBe(false)
    expect(tries()).toHaveLength(1)
  })

  it('takes a passkey, and says why one was not taken', async () => {
    passkeys.signIn.mockRejectedValueOnce(new Error('The device was not asked in time.'))
    const page = await opened(SignIn)
    await pressed(page, 'Use a passkey')
    expect(page.find('[role=alert]').text()).toBe('The device was not asked in time.')
    await pressed(page, 'Use a passkey')
    await flushPromises()
    expect(page.find('[role=alert]').exists()).toBe(false)
    expect(passkeys.signIn).toHaveBeenCalledTimes(2)
  })

  it('offers none where the browser has none', async () => {
    passkeys.impossible = 'This browser knows no passkeys.'
    const page = await opened(SignIn)
    expect(page.find('[data-test=passkey]').exists()).toBe(false)
  })
})
