import { beforeEach, describe, expect, it } from 'vitest'
import RemindersPage from '@/settings/RemindersPage.vue'
import { fakeServer, opened, submitted } from '@/testing/fakeServer'

const WISHES = {
  minutesBeforeMeetings: 10,
  byMail: false,
  morningMailAt: '08:15:00',
  sittings: ['09:30:00', '14:00:00'],
  quietWhileWorking: false,
  fromPeople: ['marisol@merrowquay.example'],
  words: ['urgent', 'crane'],
}
let server: ReturnType<typeof fakeServer>
beforeEach(() => {
  server = fakeServer()
  server.answers('GET', '/api/settings/reminders', WISHES)
  server.answers('PUT', '/api/settings/reminders', { commandId: 'c1', label: 'Kept', topics: [] })
})

const saved = () => server.sentTo('PUT', '/api/settings/reminders').map((one) => one.body)
type Page = Awaited<ReturnType<typeof opened>>
const shown = (page: Page, test: string) =>
  page.find<HTMLInputElement>(`[data-test=${test}]`).element.value

describe('The settings of reminders', () => {
  it('show times and words as one types them', async () => {
    const page = await opened(RemindersPage)
    expect(shown(page, 'sittings')).toBe('09:30, 14:00')
    expect(shown(page, 'from-people')).toBe('marisol@merrowquay.example')
    expect(shown(page, 'through-words')).toBe('urgent, crane')
    expect(shown(page, 'before')).toBe('10')
  })

  it('keep everything, also what was left as it was', async () => {
    const page = await opened(RemindersPage)
    await page.find('[data-test=by-mail]').setValue(true)
    await page.find('[data-test=before]').setValue('30')
    await page.find('[data-test=sittings]').setValue('9.30, 2pm')
    await page.find('[data-test=quiet-working]').setValue(true)
    await page.find('[data-test=from-people]').setValue('merrowtown.example,, bo@x.example ')
    await submitted(page)
    expect(saved()).toEqual([
      {
        minutesBeforeMeetings: 30,
        byMail: true,
        morningMailAt: '08:15',
        sittings: ['09:30', '14:00'],
        quietWhileWorking: true,
        fromPeople: ['merrowtown.example', 'bo@x.example'],
        words: ['urgent', 'crane'],
      },
    ])
  })

  it('have no sittings where none are named', async () => {
    const page = await opened(RemindersPage)
    await page.find('[data-test=sittings]').setValue('')
    await submitted(page)
    expect(saved()).toMatchObject([{ sittings: [] }])
  })

  it('save nothing where a time is none, and say so', async () => {
    const page = await opened(RemindersPage)
    await page.find('[data-test=sittings]').setValue('9:30, noonish')
    await submitted(page)
    expect(page.find('[role=alert]').text()).toContain('Nothing was saved')
    expect(saved()).toEqual([])
    await page.find('[data-test=sittings]').setValue('9:30')
    await submitted(page)
    expect(page.find('[role=alert]').exists()).toBe(false)
    expect(saved()).toHaveLength(1)
  })

  it('say what happened where they cannot be loaded', async () => {
    server.refuses('GET', '/api/settings/reminders', 'The database is being copied.')
    const page = await opened(RemindersPage)
    expect(page.text()).toContain('could not be loaded')
    expect(page.text()).toContain('The database is being copied.')
    expect(page.find('form').exists()).toBe(false)
  })
})
