import { afterEach, describe, expect, it, vi } from 'vitest'
import { whyNoPasskeys } from '@/api/passkeys'
import PasskeysSection from '@/settings/PasskeysSection.vue'
import { fakeServer, opened, pressed, submitted } from '@/testing/fakeServer'

const PHONE = {
  id: 'p1',
  label: 'My phone',
  host: 'localhost',
  synced: false,
  createdAt: '2026-03-02T09:00:00Z',
  lastUsedAt: '2026-03-04T09:00:00Z',
}

afterEach(() => {
  vi.restoreAllMocks()
  document.body.innerHTML = ''
})

describe('passkeys', () => {
  it('need a name and not a number', () => {
    expect(whyNoPasskeys({ hostname: '127.0.0.1' } as Location)).toContain('a name instead of')
    expect(whyNoPasskeys({ hostname: '[::1]' } as Location)).toContain('localhost will do')
  })

  it('are removed with the password, which is said at its field when it is wrong', async () => {
    const server = fakeServer()
    server.answers('GET', '/api/passkeys', [PHONE])
    server.refuses('POST', '/api/passkeys/{id}/remove', 'Not right', {
      currentPassword: 'The current password is not right.',
    })
    const page = await opened(PasskeysSection)
    expect(page.find('[data-test=passkey]').text()).toContain('My phone')

    await pressed(page, 'Remove')
    await page.find('input[type=password]').setValue('wrong')
    await submitted(page)
    expect(page.text()).toContain('The current password is not right.')

    server.answers('POST', '/api/passkeys/{id}/remove', [])
    server.answers('GET', '/api/passkeys', [])
    await page.find('input[type=password]').setValue('a good long password')
    await submitted(page)
    expect(server.sentTo('POST', '/api/passkeys/{id}/remove').at(-1)).toMatchObject({
      params: { path: { id: 'p1' } },
      body: { currentPassword: 'a good long password' },
    })
    expect(page.find('[data-test=passkey]').exists()).toBe(false)
  })
})
