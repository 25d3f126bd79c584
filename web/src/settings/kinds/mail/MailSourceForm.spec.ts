import { afterEach, describe, expect, it, vi } from 'vitest'
import MailSourceForm from '@/settings/kinds/mail/MailSourceForm.vue'
import { fakeServer, opened, pressed, submitted } from '@/testing/fakeServer'

afterEach(() => {
  vi.restoreAllMocks()
  document.body.innerHTML = ''
})

const FOLDERS = {
  names: ['INBOX', 'Sent', 'Entwürfe'],
  sent: 'Sent',
  archive: '',
  drafts: 'Entwürfe',
}
const PASSED = { passed: true, steps: [], folders: FOLDERS, untrusted: null }
const FAILED = {
  passed: false,
  steps: [{ name: 'Signing in', passed: false, detail: 'The server refused the password.' }],
  folders: null,
  untrusted: null,
}
const DONE = { commandId: 'c1', label: 'Connected', topics: [] }

async function filled() {
  const page = await opened(MailSourceForm)
  await page.find('[name=address]').setValue('ines@merrowquay.example')
  await page.find('[name=password]').setValue('secret')
  await page.find('[name=imap-host]').setValue('imap.merrowquay.example')
  return page
}

describe('a mail account', () => {
  it('takes over what follows from what was typed', async () => {
    fakeServer()
    const page = await filled()
    expect(page.find<HTMLInputElement>('[name=user]').element.value).toBe('ines@merrowquay.example')
    expect(page.find<HTMLInputElement>('[name=smtp-host]').element.value).toBe(
      'imap.merrowquay.example',
    )
    await page.find('[name=imap-encryption]').setValue('STARTTLS')
    expect(page.find<HTMLInputElement>('[name=imap-port]').element.value).toBe('143')
  })

  it('is tested before it is connected, and connected all the same only when asked again', async () => {
    const server = fakeServer()
    server.answers('POST', '/api/sources/mail/test', FAILED)
    server.answers('POST', '/api/sources/mail/{id}', DONE)
    const page = await filled()
    await submitted(page)
    expect(page.text()).toContain('The server refused the password.')
    expect(server.sentTo('POST', '/api/sources/mail/{id}')).toHaveLength(0)
    expect(page.find('[data-test=save]').text()).toBe('Connect anyway')
    await submitted(page)
    expect(server.sentTo('POST', '/api/sources/mail/{id}')).toHaveLength(1)
    expect(page.emitted('done')).toHaveLength(1)
  })

  it('keeps drafts on the server only on wish, its own folder for them first', async () => {
    const server = fakeServer()
    server.answers('POST', '/api/sources/mail/test', PASSED)
    server.answers('POST', '/api/sources/mail/{id}', DONE)
    const page = await filled()
    await pressed(page, 'Test')
    const drafts = page.find<HTMLSelectElement>('select[name=drafts]')
    expect(drafts.element.selectedIndex).toBe(0)
    expect(drafts.findAll('option').map((one) => one.text())).toEqual([
      'none',
      'Entwürfe',
      'INBOX',
      'Sent',
    ])
    await drafts.setValue('Entwürfe')
    await submitted(page)
    expect(server.sentTo('POST', '/api/sources/mail/{id}')[0]?.body).toMatchObject({
      sent: 'Sent',
      drafts: 'Entwürfe',
    })
  })

  it('accepts a certificate that nobody vouches for only by a press', async () => {
    const server = fakeServer()
    server.answers('POST', '/api/sources/mail/test', {
      ...FAILED,
      untrusted: {
        subject: 'CN=pier',
        issuer: 'CN=pier',
        sha256: 'AB:CD',
        notAfter: '2027-01-01T00:00:00Z',
      } as never,
    })
    const page = await filled()
    await pressed(page, 'Test')
    expect(page.text()).toContain('AB:CD')
    await pressed(page, 'Accept this certificate')
    expect(server.sentTo('POST', '/api/sources/mail/test').at(-1)?.body).toMatchObject({
      pinnedCertificate: 'AB:CD',
    })
  })
})
