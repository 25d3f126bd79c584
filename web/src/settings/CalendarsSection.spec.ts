import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import CalendarsSection from '@/settings/CalendarsSection.vue'
import CalendarSource from '@/settings/kinds/calendar/CalendarSource.vue'
import { fakeServer, opened, pressed, submitted } from '@/testing/fakeServer'

const DONE = { commandId: 'c1', label: 'Done', topics: [] }
let server: ReturnType<typeof fakeServer>

beforeEach(() => {
  server = fakeServer()
  server.answers('GET', '/api/sources', [])
  server.answers('GET', '/api/calendars', [
    {
      id: 'k1',
      sourceId: 's1',
      name: 'Office',
      counts: 'BUSY',
      readAt: '2026-03-04T10:00:00Z',
      events: true,
      writable: true,
      tasks: false,
      version: 3,
    },
    {
      id: 'k2',
      sourceId: 's1',
      name: 'Errands',
      counts: 'BUSY',
      readAt: '2026-03-04T10:00:00Z',
      events: false,
      writable: false,
      tasks: true,
      version: 0,
    },
  ])
  server.answers('GET', '/api/settings/tasks', { calendarId: null, followUps: 0 })
  server.answers('PUT', '/api/settings/tasks', DONE)
  server.answers('GET', '/api/settings/blocks', { calendarId: null })
  server.answers('PUT', '/api/settings/blocks', DONE)
  server.answers('PUT', '/api/calendars/{id}', DONE)
  server.answers('POST', '/api/sources/calendar/{id}', DONE)
})
afterEach(() => {
  vi.restoreAllMocks()
  document.body.innerHTML = ''
})

describe('the calendars', () => {
  it('take the blocks of the day, where one of an account is chosen', async () => {
    const page = await opened(CalendarsSection)
    await page.find('[data-test=block-calendar]').setValue('k1')
    expect(server.sentTo('PUT', '/api/settings/blocks')[0]?.body).toEqual({ calendarId: 'k1' })
  })

  it('that hold tasks take follow-ups, and are no calendar to look at', async () => {
    const page = await opened(CalendarsSection)
    expect(page.findAll('[data-test=calendar]')).toHaveLength(1)
    const options = page.findAll('[data-test=block-calendar] option').map((each) => each.text())
    expect(options).toEqual(['no calendar', 'Office'])
    await page.find('[data-test=task-list]').setValue('k2')
    expect(server.sentTo('PUT', '/api/settings/tasks')[0]?.body).toEqual({ calendarId: 'k2' })
  })

  it('are chosen to take time, to be shown or to be hidden', async () => {
    const page = await opened(CalendarsSection)
    expect(page.find('[data-test=calendar]').text()).toContain('Office')
    await page.find('select').setValue('SHOWN')
    expect(server.sentTo('PUT', '/api/calendars/{id}')[0]).toMatchObject({
      body: { name: 'Office', counts: 'SHOWN' },
      params: { path: { id: 'k1' }, query: { version: 3 } },
    })
  })

  it('are connected by an address, with or without an account', async () => {
    const page = await opened(CalendarSource)
    await page.find('[name=name]').setValue('Harbour')
    await page.find('[name=address]').setValue('https://calendar.example/office.ics')
    await submitted(page)
    expect(server.sentTo('POST', '/api/sources/calendar/{id}')[0]?.body).toEqual({
      name: 'Harbour',
      address: 'https://calendar.example/office.ics',
      user: '',
      password: '',
    })
    expect(page.emitted('done')).toHaveLength(1)
  })

  it('say at the field what is wrong with an address, and what a test finds', async () => {
    server.refuses('POST', '/api/sources/calendar/{id}', 'No.', {
      address: 'It starts with https://.',
    })
    server.answers('POST', '/api/sources/calendar/test', {
      passed: true,
      steps: [{ name: 'Find the calendars', passed: true, detail: '2: Office, Tides.' }],
    })
    const page = await opened(CalendarSource)
    await submitted(page)
    expect(page.text()).toContain('It starts with https://.')
    await pressed(page, 'Test')
    expect(page.text()).toContain('2: Office, Tides.')
  })
})
