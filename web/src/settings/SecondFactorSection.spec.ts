import { afterEach, describe, expect, it, vi } from 'vitest'
import SecondFactorSection from '@/settings/SecondFactorSection.vue'
import { fakeServer, opened, pressed, submitted } from '@/testing/fakeServer'

afterEach(() => {
  vi.restoreAllMocks()
  document.body.innerHTML = ''
})

const OFF = { on: false, passwordIsNotEnough: false, recoveryCodesLeft: 0 }

describe('the code beside the password', () => {
  it('is set up step by step and ends with recovery codes', async () => {
    const server = fakeServer()
    server.answers('GET', '/api/second-factor', OFF)
    server.answers('POST', '/api/second-factor/begin', {
      secret: 'ABCDEFGHIJKLMNOP',
      address: 'otpauth://totp/Squallnote:ines?secret=ABCDEFGHIJKLMNOP',
    })
    const page = await opened(SecondFactorSection)
    await page.find('[name=proof]').setValue('a good long password')
    await submitted(page)
    expect(page.find('[data-test=secret]').text()).toBe('ABCD EFGH IJKL MNOP')

    server.refuses('POST', '/api/second-factor/confirm', 'No', { code: 'This is not the code.' })
    await page.find('[name=code]').setValue('000000')
    await submitted(page)
    expect(page.text()).toContain('This is not the code.')

    server.answers('POST', '/api/second-factor/confirm', { codes: ['aaaa-bbbb', 'cccc-dddd'] })
    server.answers('GET', '/api/second-factor', {
      on: true,
      passwordIsNotEnough: true,
      recoveryCodesLeft: 2,
    })
    await page.find('[name=code]').setValue('123456')
    await submitted(page)
    expect(page.find('[data-test=recovery-codes]').text()).toContain('cccc-dddd')
    await pressed(page, 'I have kept them')
    expect(page.find('[data-test=recovery-codes]').exists()).toBe(false)
    expect(page.text()).toContain('2 recovery codes are left')
  })

  it('offers new recovery codes where there are passkeys only', async () => {
    const server = fakeServer()
    server.answers('GET', '/api/second-factor', { ...OFF, passwordIsNotEnough: true })
    server.answers('POST', '/api/second-factor/recovery-codes', { codes: ['eeee-ffff'] })
    const page = await opened(SecondFactorSection)
    await page.find('[name=proof]').setValue('a good long password')
    await pressed(page, 'New recovery codes')
    expect(page.text()).toContain('eeee-ffff')
    expect(page.text()).not.toContain('Ask for no code any more')
  })
})
