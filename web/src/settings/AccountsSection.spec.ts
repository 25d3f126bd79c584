import { afterEach, describe, expect, it, vi } from 'vitest'
import AccountsSection from '@/settings/AccountsSection.vue'
import { fakeServer, opened, pressed, submitted } from '@/testing/fakeServer'

afterEach(() => {
  vi.restoreAllMocks()
  document.body.innerHTML = ''
})

const INES = {
  id: 'a1',
  signIn: 'ines',
  name: 'Ines',
  administrator: true,
  secondFactor: false,
}
const BO = { id: 'a2', signIn: 'bo', name: 'Bo', administrator: false, secondFactor: true }

describe('the accounts of an installation', () => {
  it('are added in the zone of the administrator, and problems stand at their fields', async () => {
    const server = fakeServer()
    server.answers('GET', '/api/accounts', [INES])
    server.refuses('POST', '/api/accounts', 'Taken', { signIn: 'Somebody already signs in as bo.' })
    const page = await opened(AccountsSection, { zone: 'Europe/London' })
    await page.find('[name=new-name]').setValue('Bo')
    await page.find('[name=new-sign-in]').setValue('bo')
    await page.find('[name=new-password]').setValue('a good long password')
    await submitted(page, '[data-test=add-account]')
    expect(page.text()).toContain('Somebody already signs in as bo.')
    expect(server.sentTo('POST', '/api/accounts')[0]?.body).toMatchObject({
      signIn: 'bo',
      zone: 'Europe/London',
    })
  })

  it('are helped out with the administrator’s own password, where a device can be lost', async () => {
    const server = fakeServer()
    server.answers('GET', '/api/accounts', [INES, BO])
    server.answers('POST', '/api/accounts/{id}/password-only', [
      INES,
      { ...BO, secondFactor: false },
    ])
    const page = await opened(AccountsSection, { zone: 'Europe/London' })
    expect(
      page.findAll('button').filter((one) => one.text().startsWith('Lost device')),
    ).toHaveLength(1)
    await pressed(page, 'Lost device')
    expect(page.find('[data-test=password-only]').text()).toContain('Make sure that it is Bo')
    await page.find('[data-test=password-only] input').setValue('mine')
    await submitted(page, '[data-test=password-only]')
    expect(server.sentTo('POST', '/api/accounts/{id}/password-only')[0]).toMatchObject({
      params: { path: { id: 'a2' } },
      body: { currentPassword: 'mine' },
    })
    expect(page.find('[data-test=password-only]').exists()).toBe(false)
  })
})
