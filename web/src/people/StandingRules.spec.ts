import { flushPromises } from '@vue/test-utils'
import { beforeEach, describe, expect, it } from 'vitest'
import StandingRules from '@/people/StandingRules.vue'
import { fakeServer, opened, pressed } from '@/testing/fakeServer'

const DONE = { commandId: 'c1', label: 'Rule', topics: [] }
const OTHERS = { kind: 'PARTY', whom: 'will@x.example', first: 9, then: 3, afterPromise: 2 }
let server: ReturnType<typeof fakeServer>

function answers(asks: string | null, exceptions: object[]): void {
  server.answers('GET', '/api/party-rules', [
    { party: 'tilda@x.example', asks, replyDays: 4, pastIntake: false },
  ] as never)
  server.answers('GET', '/api/settings/chasing', {
    first: 3,
    then: 2,
    afterPromise: 1,
    exceptions,
  } as never)
}

beforeEach(() => {
  server = fakeServer()
  answers('ALWAYS', [OTHERS])
  server.answers('PUT', '/api/party-rules', DONE)
  server.answers('PUT', '/api/settings/chasing', DONE)
})

const open = () => opened(StandingRules, { address: 'Tilda@x.example' })
const ruled = () => server.sentTo('PUT', '/api/party-rules').at(-1)?.body
const chased = () =>
  (server.sentTo('PUT', '/api/settings/chasing').at(-1)?.body as { exceptions: unknown }).exceptions

describe('What always holds of somebody', () => {
  it('shows what is set, whatever the case of the address, and changes one thing of it', async () => {
    const page = await open()
    expect(page.find<HTMLInputElement>('[data-test=rule-days]').element.value).toBe('4')
    await page.find('[data-test=rule-asks]').setValue('NEVER')
    await flushPromises()
    expect(ruled()).toEqual({
      party: 'tilda@x.example',
      asks: 'NEVER',
      replyDays: 4,
      pastIntake: false,
    })
    await page.find('input[type=checkbox]').setValue(true)
    await flushPromises()
    expect(ruled()).toMatchObject({ asks: 'ALWAYS', pastIntake: true })
  })

  it('takes no days for what is no number of days, and no more than sixty', async () => {
    const page = await open()
    for (const [typed, days] of [
      ['', null],
      ['0', null],
      ['400', 60],
    ] as const) {
      await page.find('[data-test=rule-days]').setValue(typed)
      await flushPromises()
      expect(ruled()).toMatchObject({ replyDays: days })
    }
  })

  it('sets when they are reminded beside what is set for others, and lets it go again', async () => {
    const page = await open()
    await page.find('[data-test=rule-chase]').setValue('5')
    await flushPromises()
    expect(chased()).toEqual([
      OTHERS,
      { kind: 'PARTY', whom: 'tilda@x.example', first: 5, then: 2, afterPromise: 1 },
    ])

    answers(null, [OTHERS, { ...OTHERS, whom: 'TILDA@x.example' }])
    const again = await opened(StandingRules, { address: 'tilda@x.example', key: 'again' })
    await again.find('[data-test=rule-chase]').setValue('')
    await flushPromises()
    expect(chased()).toEqual([OTHERS])
  })

  it('offers nothing before it is known what holds, so that nothing of it is lost', async () => {
    server.refuses('GET', '/api/party-rules', 'Not now.')
    const page = await open()
    expect(page.find('[data-test=standing-rules]').exists()).toBe(false)
    expect(page.find('[role=alert]').text()).toContain('What always holds could not be loaded.')
    answers('NEVER', [])
    await pressed(page, 'Try again')
    expect(page.find<HTMLSelectElement>('[data-test=rule-asks]').element.value).toBe('NEVER')
  })
})
