import { flushPromises } from '@vue/test-utils'
import { beforeEach, describe, expect, it } from 'vitest'
import HandOver from '@/intake/HandOver.vue'
import { fakeServer, opened, pressed, submitted } from '@/testing/fakeServer'
import { mailThatAsks } from '@/testing/messages'

const ASK = 'Could you send us the insurance confirmation?'
const message = mailThatAsks(ASK, ASK, {
  subject: 'Closing the quay road',
  from: { name: 'Harriet Pole', address: 'h.pole@merrowtown.example' },
  cc: [{ name: 'Marisol Vance', address: 'marisol@merrowquay.example' }],
  proposal: { replyBy: '2026-03-06', replyTime: null, firm: true, title: 'Send it' },
})

beforeEach(() => {
  localStorage.clear()
  const server = fakeServer()
  server.answers('GET', '/api/session', { account: { name: 'Ines Calloway' } } as never)
  server.answers('GET', '/api/follow-ups', { open: [], later: [], ended: [], undated: 0 } as never)
  server.answers('GET', '/api/sources', [{ address: 'ines@merrowquay.example' }] as never)
  server.answers('GET', '/api/intake', { lines: [], quickChoices: [] } as never)
  server.answers('GET', '/api/capture/people', [
    { name: 'Tom Reed', address: 'tom@merrowquay.example' },
  ] as never)
  server.answers('GET', '/api/colleagues', [
    { name: 'Gus Ferrant', signIn: 'gus', addresses: ['gus@merrowquay.example'] },
    { name: 'Lena Okafor', signIn: 'lena', addresses: [] },
  ] as never)
})

const open = (props: Record<string, unknown> = { message }) => opened(HandOver, props)
type Page = Awaited<ReturnType<typeof open>>
const given = (page: Page) =>
  page.emitted<[{ name: string; address: string; text: string; wantedDay: string | null }]>(
    'give',
  )?.[0]?.[0]
const text = (page: Page) => page.find('textarea').element.value

describe('Handing over', () => {
  it('writes what to say: by name once somebody is chosen, with the ask and its date', async () => {
    const page = await open()
    expect(text(page)).toMatch(/^Hello,\n\ncould you take this over, please\?/)
    await page.find('[data-test=hand-over-to]').setValue('gus')
    await pressed(page, 'Gus Ferrant')
    expect(text(page)).toMatch(/^Hello Gus,\n/)
    expect(text(page)).toContain('It says: “Could you send us the insurance confirmation?”')
    expect(text(page)).toContain('An answer is wanted by')
    expect(text(page)).toMatch(/Thank you\nInes Calloway$/)
    await submitted(page)
    expect(given(page)).toMatchObject({
      name: 'Gus Ferrant',
      address: 'gus@merrowquay.example',
      wantedDay: '2026-03-06',
    })
  })

  it('takes the first who is found at Enter, and asks once more before it goes', async () => {
    const page = await open()
    await page.find('[data-test=hand-over-to]').setValue('tom')
    await submitted(page)
    expect(given(page)).toBeUndefined()
    await submitted(page)
    expect(given(page)).toMatchObject({ name: 'Tom Reed', address: 'tom@merrowquay.example' })
  })

  it('goes to any address that is typed', async () => {
    const page = await open()
    await page.find('[data-test=hand-over-to]').setValue('office@slipway.example')
    await submitted(page)
    expect(given(page)).toMatchObject({ name: '', address: 'office@slipway.example' })
  })

  it('says why somebody cannot get it, and who is not known', async () => {
    const page = await open()
    await page.find('[data-test=hand-over-to]').setValue('lena')
    await pressed(page, 'Lena Okafor')
    expect(page.find('[role=alert]').text()).toContain('has connected no mailbox yet')
    await page.find('[data-test=hand-over-to]').setValue('nobody')
    await submitted(page)
    expect(page.find('[role=alert]').text()).not.toBe('')
    expect(given(page)).toBeUndefined()
  })

  it('sends no empty mail', async () => {
    const page = await open()
    await page.find('[data-test=hand-over-to]').setValue('office@slipway.example')
    await page.find('textarea').setValue('  ')
    await submitted(page)
    expect(page.find('[role=alert]').text()).toContain('an empty mail puzzles')
    expect(given(page)).toBeUndefined()
  })

  it('keeps what I wrote: over another choice, and over leaving', async () => {
    const page = await open()
    await page.find('textarea').setValue('Gus, this one is yours.')
    await page.find('[data-test=hand-over-to]').setValue('gus')
    await pressed(page, 'Gus Ferrant')
    expect(text(page)).toBe('Gus, this one is yours.')
    await page.find('form').trigger('keydown', { key: 'Escape' })
    expect(page.emitted('cancel')).toHaveLength(1)
    page.unmount()
    const again = await open()
    expect(text(again)).toBe('Gus, this one is yours.')
    await again.find('[data-test=hand-over-to]').setValue('gus@merrowquay.example')
    await submitted(again)
    await flushPromises()
    again.unmount()
    expect(text(await open())).toMatch(/^Hello,/)
  })

  it('hands over several at once without a day', async () => {
    const page = await open({ count: 3 })
    expect(page.text()).toContain('Hand all 3 over to')
    expect(page.text()).not.toContain('I want it by')
    await page.find('[data-test=hand-over-to]').setValue('office@slipway.example')
    await submitted(page)
    expect(given(page)?.wantedDay).toBeNull()
  })
})
