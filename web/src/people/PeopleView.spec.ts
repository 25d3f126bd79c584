import { flushPromises, RouterLinkStub } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { reactive } from 'vue'
import type { PersonView } from '@/api/client'
import PeopleView from '@/people/PeopleView.vue'
import { fakeServer, opened, pressed, pressedKey } from '@/testing/fakeServer'

const { route } = vi.hoisted(() => ({ route: { params: { id: '' } } }))
const now: { params: { id: string } } = reactive(route)
vi.mock('vue-router', () => ({
  useRoute: () => now,
  useRouter: () => ({
    replace: ({ params }: { params: { id: string } }) => {
      now.params = params
    },
  }),
  RouterLink: RouterLinkStub,
}))

const DONE = { commandId: 'c1', label: 'Done', topics: [] }
const TILDA: PersonView = {
  id: 'tilda@x.example',
  name: 'Tilda Brandt',
  addresses: [
    { address: 'tilda@x.example', names: ['Tilda Brandt'] },
    { address: 'tb@x.example', names: ['Tilda'] },
  ],
  myUsualMinutes: 45,
  usualMinutes: 240,
  owed: [
    {
      threadId: 't1',
      subject: 'Crane',
      what: 'Could you send the plan?',
      since: '2026-03-02T09:00:00Z',
      byDay: '2026-03-06',
    },
  ],
  owing: [],
  followUps: [{ id: 'f1', title: 'Send Tilda the plan', replyDay: null }],
  note: 'Prefers the phone',
  talk: [{ id: 'w1', text: 'the winch', done: false }],
  details: {
    name: '',
    phones: [{ number: '+44 (0)7700 900123', kind: 'mobile', messageId: 'm7' }],
    organisation: 'Brandt Cranes',
    organisationMessage: null,
  },
  meetings: [
    {
      title: 'Crane inspection',
      place: 'Yard',
      from: '2026-03-05T09:00:00Z',
      to: '2026-03-05T10:00:00Z',
      allDay: false,
    },
  ],
  alike: [
    { id: 'brandt@y.example', name: 'Tilda Brandt', reason: 'the same name, at brandt@y.example' },
  ],
}
const CHASING = {
  first: 3,
  then: 2,
  afterPromise: 1,
  firstText: '',
  secondText: '',
  lastText: '',
  exceptions: [],
  languages: [],
}
let server: ReturnType<typeof fakeServer>

beforeEach(() => {
  localStorage.clear()
  now.params = { id: '' }
  server = fakeServer()
  server.answers('GET', '/api/people', [
    {
      id: TILDA.id,
      name: TILDA.name,
      addresses: [TILDA.id],
      organisation: 'Brandt Cranes',
      phones: [],
      owed: 1,
      owing: 0,
    },
    {
      id: 'otto@x.example',
      name: 'Otto',
      addresses: ['otto@x.example'],
      organisation: '',
      phones: [],
      owed: 0,
      owing: 2,
    },
  ])
  server.answers('GET', '/api/people/{id}', TILDA)
  server.answers('GET', '/api/party-rules', [])
  server.answers('GET', '/api/settings/chasing', CHASING)
  server.answers('PUT', '/api/people/{id}/talk/{matterId}', DONE)
  server.answers('DELETE', '/api/people/{id}/talk/{matterId}', DONE)
  server.answers('PUT', '/api/people/{id}/note', DONE)
  server.answers('POST', '/api/people/{id}/merge', DONE)
  server.answers('POST', '/api/people/{id}/split', DONE)
})

describe('People', () => {
  it('are walked through by keys and show what is open with each', async () => {
    const page = await opened(PeopleView)
    expect(page.text()).toContain('owes 2')
    await pressedKey('ArrowDown')
    expect(now.params.id).toBe('tilda@x.example')
    await flushPromises()
    expect(page.find('[data-test=person]').text()).toContain('Could you send the plan?')
    expect(page.find('[data-test=person]').text()).toContain('usually answers within')
  })

  it('are merged where they may be the same, and taken apart', async () => {
    now.params = { id: TILDA.id }
    const page = await opened(PeopleView)
    await pressed(page, 'They are one')
    expect(server.sentTo('POST', '/api/people/{id}/merge')[0]).toMatchObject({
      params: { path: { id: 'brandt@y.example' } },
      body: { into: TILDA.id },
    })
    await pressed(page, 'Somebody else')
    expect(server.sentTo('POST', '/api/people/{id}/split')[0]?.params).toMatchObject({
      path: { id: 'tb@x.example' },
    })
  })

  it('have matters for the next talk, written down and ticked off', async () => {
    now.params = { id: TILDA.id }
    const page = await opened(PeopleView)
    await pressedKey('t')
    await page.find('[data-test=matter]').setValue('the oar ')
    await page.find('[data-test=next-talk] form').trigger('submit')
    await page.find('[data-test=matter]').setValue('the key')
    await page.find('[data-test=next-talk] form').trigger('submit')
    expect(
      server.sentTo('PUT', '/api/people/{id}/talk/{matterId}').map((each) => each.body),
      'one after the other, before any answer',
    ).toEqual([
      { text: 'the oar', done: false },
      { text: 'the key', done: false },
    ])
    await page.find('[data-test=next-talk] input[type=checkbox]').trigger('change')
    expect(server.sentTo('PUT', '/api/people/{id}/talk/{matterId}').at(-1)).toMatchObject({
      params: { path: { matterId: 'w1' } },
      body: { text: 'the winch', done: true },
    })
  })

  it('give a matter back that could not be kept', async () => {
    now.params = { id: TILDA.id }
    server.refuses('PUT', '/api/people/{id}/talk/{matterId}', 'Too many.')
    const page = await opened(PeopleView)
    await page.find('[data-test=matter]').setValue('the oar')
    await page.find('[data-test=next-talk] form').trigger('submit')
    await flushPromises()
    expect((page.find('[data-test=matter]').element as HTMLInputElement).value).toBe('the oar')
  })

  async function writes(page: Awaited<ReturnType<typeof opened>>, text: string | undefined) {
    await page.find('[data-test=person-note]').trigger('click')
    const field = page.find('[data-test=person-note] textarea')
    await field.trigger('focusin')
    if (text !== undefined) {
      await field.setValue(text)
    }
    await field.trigger('blur')
    await page.find('[data-test=person-note]').trigger('focusout')
    await flushPromises()
  }

  it('keep a note when it is left, and only when it was changed', async () => {
    now.params = { id: TILDA.id }
    const page = await opened(PeopleView)
    await writes(page, undefined)
    expect(server.sentTo('PUT', '/api/people/{id}/note')).toHaveLength(0)
    await writes(page, 'Prefers mail')
    expect(server.sentTo('PUT', '/api/people/{id}/note')[0]?.body).toEqual({
      note: 'Prefers mail',
      was: 'Prefers the phone',
    })
  })

  it('keep what is written in a note over a refusal and a reload', async () => {
    now.params = { id: TILDA.id }
    server.refuses('PUT', '/api/people/{id}/note', 'Changed elsewhere.')
    const page = await opened(PeopleView)
    await writes(page, 'Prefers mail')
    page.unmount()
    const again = await opened(PeopleView)
    expect(again.find('[data-test=person-note]').text()).toContain('Prefers mail')
  })

  it('have numbers, meetings ahead and what always holds in one place', async () => {
    now.params = { id: TILDA.id }
    server.answers('PUT', '/api/party-rules', DONE)
    server.answers('PUT', '/api/settings/chasing', DONE)
    const page = await opened(PeopleView)
    expect(page.find('[data-test=contact] a[href^=tel]').attributes('href')).toBe(
      'tel:+447700900123',
    )
    expect(page.find('[data-test=my-usual]').text()).toContain('45 min')
    expect(page.find('[data-test=meeting-ahead]').text()).toContain('Crane inspection')
    await page.find('[data-test=rule-asks]').setValue('NEVER')
    expect(server.sentTo('PUT', '/api/party-rules').at(-1)?.body).toMatchObject({
      party: TILDA.id,
      asks: 'NEVER',
    })
    await page.find('[data-test=rule-chase]').setValue('7')
    expect(server.sentTo('PUT', '/api/settings/chasing').at(-1)?.body).toMatchObject({
      exceptions: [{ kind: 'PARTY', whom: TILDA.id, first: 7, then: 2, afterPromise: 1 }],
    })
  })

  it('stand house by house on wish', async () => {
    const page = await opened(PeopleView)
    await page.find('[data-test=by-house]').setValue(true)
    expect(page.findAll('[data-test=house]').map((house) => house.text())).toEqual([
      'Brandt Cranes 1',
      'Of no house 1',
    ])
  })
})
