import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import ChasingPage from '@/settings/ChasingPage.vue'
import { fakeServer, opened, submitted } from '@/testing/fakeServer'

let server: ReturnType<typeof fakeServer>

beforeEach(() => {
  server = fakeServer()
  server.answers('GET', '/api/settings/chasing', {
    first: 3,
    then: 2,
    afterPromise: 1,
    firstText: 'Hello {name}',
    secondText: 'Again',
    lastText: 'Last',
    exceptions: [],
    languages: [],
  })
  server.answers('PUT', '/api/settings/chasing', { commandId: 'c1', label: 'Done', topics: [] })
})
afterEach(() => {
  vi.restoreAllMocks()
  document.body.innerHTML = ''
})

describe('the settings of chasing', () => {
  it('keep days and words', async () => {
    const page = await opened(ChasingPage)
    await page.find('[data-test=first]').setValue('5')
    await page.find('[data-test=secondText]').setValue('Dear {name}, once more: {asks}')
    await submitted(page)
    expect(server.sentTo('PUT', '/api/settings/chasing')[0]?.body).toEqual({
      first: 5,
      then: 2,
      afterPromise: 1,
      firstText: 'Hello {name}',
      secondText: 'Dear {name}, once more: {asks}',
      lastText: 'Last',
      exceptions: [],
      languages: [],
    })
    expect(page.text()).toContain('Saved.')
  })

  it('keep other days for somebody, and for a category', async () => {
    server.answers('GET', '/api/categories', [
      {
        id: 'cat1',
        name: 'Rigging',
        hue: 'PLUM',
        monogram: 'Ri',
        letter: 'r',
        replyDays: null,
        effortMinutes: null,
        retired: false,
        version: 0,
      },
    ])
    const page = await opened(ChasingPage)
    await page.find('[data-test=add-other-days]').trigger('click')
    await page.find('[data-test=other-whom]').setValue('tilda@x.example')
    await page.find('[data-test=other-first]').setValue('7')
    await page.find('[data-test=add-other-days]').trigger('click')
    const second = page.findAll('[data-test=other-days]')[1]
    await second?.find('[data-test=other-kind]').setValue('CATEGORY')
    await second?.find('[data-test=other-category]').setValue('cat1')
    await submitted(page)
    const sent = server.sentTo('PUT', '/api/settings/chasing')[0]?.body as {
      exceptions: unknown[]
    }
    expect(sent.exceptions).toEqual([
      { kind: 'PARTY', whom: 'tilda@x.example', first: 7, then: 2, afterPromise: 1 },
      { kind: 'CATEGORY', whom: 'cat1', first: 3, then: 2, afterPromise: 1 },
    ])
  })

  it('take other days away again', async () => {
    const page = await opened(ChasingPage)
    await page.find('[data-test=add-other-days]').trigger('click')
    await page.find('[data-test=other-days] button').trigger('click')
    expect(page.findAll('[data-test=other-days]')).toHaveLength(0)
  })

  it('keep words in another language', async () => {
    const page = await opened(ChasingPage)
    await page.find('[data-test=add-de]').trigger('click')
    await page.find('[data-test=de-firstText]').setValue('Guten Tag {name}: {asks}')
    await submitted(page)
    const sent = server.sentTo('PUT', '/api/settings/chasing')[0]?.body as { languages: unknown }
    expect(sent.languages).toEqual([
      { language: 'de', firstText: 'Guten Tag {name}: {asks}', secondText: '', lastText: '' },
    ])
    expect(page.find('[data-test=add-de]').exists()).toBe(false)
  })
})
