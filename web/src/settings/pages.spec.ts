import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import CategoriesPage from '@/settings/CategoriesPage.vue'
import InstallationSection from '@/settings/InstallationSection.vue'
import SendersPage from '@/settings/SendersPage.vue'
import WorkingTimePage from '@/settings/WorkingTimePage.vue'
import { fakeServer, opened, pressed, submitted } from '@/testing/fakeServer'

const DONE = { commandId: 'c1', label: 'Changed', topics: [] }
let server: ReturnType<typeof fakeServer>

beforeEach(() => {
  server = fakeServer()
})
afterEach(() => {
  vi.restoreAllMocks()
  document.body.innerHTML = ''
})

describe('what is said of senders', () => {
  it('is forgotten part by part', async () => {
    const rule = {
      party: 'tilda@x.example',
      asks: 'NEVER',
      replyDays: 5,
      pastIntake: false,
    } as const
    server.answers('GET', '/api/party-rules', [rule])
    server.answers('PUT', '/api/party-rules', DONE)
    const page = await opened(SendersPage)
    expect(page.text()).toContain('never asks me')
    expect(page.text()).toContain('reply within 5 working days')
    await pressed(page, 'Forget')
    expect(server.sentTo('PUT', '/api/party-rules')[0]?.body).toEqual({ ...rule, asks: null })
  })

  it('says what went wrong when it cannot be loaded', async () => {
    const page = await opened(SendersPage)
    expect(page.text()).toContain('The rules could not be loaded')
  })
})

describe('the working time', () => {
  it('is saved as it is set, a day switched off and a name added', async () => {
    const form = {
      nicknames: ['Inés'],
      monthFirst: false,
      week: [
        { day: 'MONDAY', from: '09:00', to: '17:00' },
        { day: 'TUESDAY', from: '09:00', to: '17:00' },
      ],
      region: '',
      daysOff: ['2026-03-09'],
      replyDays: 2,
    }
    server.answers('GET', '/api/settings/working-time', {
      form,
      regions: [{ code: 'gb', name: 'United Kingdom' }],
      holidays: [],
    } as never)
    server.answers('PUT', '/api/settings/working-time', DONE)
    const page = await opened(WorkingTimePage)
    await page.find('[data-day=TUESDAY] input[type=checkbox]').setValue(false)
    await page.find('[name=region]').setValue('gb')
    await page.find('[name=nicknames]').setValue('Inés, Nes')
    await submitted(page)
    expect(server.sentTo('PUT', '/api/settings/working-time')[0]?.body).toMatchObject({
      week: [form.week[0]],
      region: 'gb',
      nicknames: ['Inés', 'Nes'],
      daysOff: ['2026-03-09'],
    })
  })
})

describe('categories', () => {
  const category = (id: string, name: string) => ({
    id,
    name,
    hue: 'TIDE' as const,
    monogram: name.slice(0, 2),
    letter: null,
    replyDays: null,
    effortMinutes: null,
    retired: false,
    version: 3,
  })

  it('are put into another order as a whole', async () => {
    server.answers('GET', '/api/categories', [category('a', 'Crane'), category('b', 'Yard')])
    server.answers('PUT', '/api/categories', DONE)
    const page = await opened(CategoriesPage)
    await page.find('[data-test=category-row] button[aria-label*=down]').trigger('click')
    expect(server.sentTo('PUT', '/api/categories')[0]?.body).toEqual(['b', 'a'])
  })

  it('are added with what was typed, without a letter when none was', async () => {
    server.answers('GET', '/api/categories', [])
    server.answers('POST', '/api/categories/{id}', DONE)
    const page = await opened(CategoriesPage)
    await page.find('[data-test=add-category] [name=name]').setValue('Slipway')
    await submitted(page, '[data-test=add-category]')
    expect(server.sentTo('POST', '/api/categories/{id}')[0]?.body).toMatchObject({
      name: 'Slipway',
      letter: null,
      replyDays: null,
    })
  })
})

describe('the installation', () => {
  it('is saved with names apart, and what is wrong with one stands at the field', async () => {
    server.answers('GET', '/api/installation', {
      hosts: ['one.example'],
      localNetworkForAll: false,
    })
    server.refuses('PUT', '/api/installation', 'No', { hosts: 'two is no name of a machine.' })
    const page = await opened(InstallationSection)
    const field = page.find<HTMLInputElement>('[name=hosts]')
    expect(field.element.value).toBe('one.example')
    await field.setValue('one.example, two')
    await submitted(page)
    expect(server.sentTo('PUT', '/api/installation')[0]?.body).toEqual({
      hosts: ['one.example', 'two'],
      localNetworkForAll: false,
    })
    expect(page.text()).toContain('two is no name of a machine.')
  })
})
