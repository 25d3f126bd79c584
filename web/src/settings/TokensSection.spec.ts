import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { TokenView } from '@/api/client'
import TokensSection from '@/settings/TokensSection.vue'
import { fakeServer, opened, pressed, submitted } from '@/testing/fakeServer'

const TOKEN: TokenView = {
  id: 't1',
  name: 'Backup at night',
  scopes: ['READ'],
  createdAt: '2026-03-04T10:00:00Z',
  expiresAt: '2100-03-04T10:00:00Z',
  lastUsedAt: null,
}
let server: ReturnType<typeof fakeServer>

beforeEach(() => {
  server = fakeServer()
  server.answers('GET', '/api/tokens', [
    TOKEN,
    { ...TOKEN, id: 't2', name: 'Old', expiresAt: '2001-01-01T00:00:00Z' },
  ])
})
afterEach(() => {
  vi.restoreAllMocks()
  document.body.innerHTML = ''
})

describe('tokens', () => {
  it('are listed with what they may, until when, and whether they have ended', async () => {
    const page = await opened(TokensSection)
    const [first, old] = page.findAll('[data-test=token]')
    expect(first?.text()).toContain('may look at everything of yours')
    expect(first?.text()).toContain('not used yet')
    expect(old?.text()).toContain('ended')
  })

  it('are shown once, when one is made, with the scopes that were chosen', async () => {
    server.answers('POST', '/api/tokens', { kept: TOKEN, token: 'squallnote_x' })
    const page = await opened(TokensSection)
    await page.find('input[name=token-name]').setValue('Board')
    await page.findAll('input[name=token-scope]')[0]?.setValue(false)
    await page.findAll('input[name=token-scope]')[1]?.setValue(true)
    await page.find('select[name=token-days]').setValue('7')
    await page.find('input[name=token-proof]').setValue('four words')
    await submitted(page)
    expect(server.sentTo('POST', '/api/tokens')[0]?.body).toEqual({
      name: 'Board',
      scopes: ['ADD'],
      days: 7,
      currentPassword: 'four words',
    })
    expect(page.find<HTMLInputElement>('[data-test=secret]').element.value).toBe('squallnote_x')
  })

  it('ask for the password again where it was wrong, and end at once', async () => {
    server.refuses('POST', '/api/tokens', 'x', { currentPassword: 'The password is not right.' })
    server.answers('DELETE', '/api/tokens/{id}', undefined)
    const page = await opened(TokensSection)
    await submitted(page)
    expect(page.text()).toContain('The password is not right.')
    await pressed(page, 'End it now')
    expect(server.sentTo('DELETE', '/api/tokens/{id}')[0]?.params).toEqual({ path: { id: 't1' } })
  })
})
