import { flushPromises } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import type { InvitationView } from '@/api/client'
import MeetingCard from '@/intake/meeting/MeetingCard.vue'
import { strip } from '@/intake/meeting/strip'
import { cost, people, when } from '@/intake/meeting/words'
import { fakeServer, opened, pressedKey } from '@/testing/fakeServer'

const AROUND: InvitationView['around'] = {
  day: '2026-03-06',
  fromMinute: 690,
  toMinute: 750,
  workFrom: 540,
  workTo: 1020,
  meetings: [
    {
      title: 'Surveyor',
      place: '',
      allDay: false,
      fromMinute: 660,
      toMinute: 720,
      tentative: false,
      takesTime: true,
    },
  ],
  freeMinutes: 420,
  takesMinutes: 30,
  collides: ['Surveyor'],
}

function meeting(more: Partial<InvitationView> = {}): InvitationView {
  return {
    method: 'REQUEST',
    standing: 'CURRENT',
    newerMessageId: null,
    title: 'Crane inspection',
    place: 'Slipway',
    organizer: { name: 'Tilda Brandt', address: 'tilda@brandt.example' },
    mine: false,
    day: '2026-03-06',
    from: '11:30:00',
    lastDay: '2026-03-06',
    to: '12:30:00',
    allDay: false,
    past: false,
    repeats: false,
    comment: '',
    attendees: [
      {
        name: 'Bo',
        address: 'bo@x.example',
        participation: 'NEEDS_ACTION',
        optional: false,
        me: false,
      },
      {
        name: '',
        address: 'ines@x.example',
        participation: 'NEEDS_ACTION',
        optional: false,
        me: true,
      },
    ],
    answer: null,
    canAnswer: true,
    around: AROUND,
    calendars: [{ id: 'c1', name: 'Office' }],
    calendarId: 'c1',
    ...more,
  }
}

describe('the words of a meeting', () => {
  it('say when it is, what it costs and who comes', () => {
    expect(when(meeting())).toBe('Fri 6 Mar, 11:30–12:30')
    expect(when(meeting({ allDay: true }))).toBe('Fri 6 Mar, all day')
    expect(when(meeting({ allDay: true, lastDay: '2026-03-08' }))).toBe('Fri 6 Mar to Sun 8 Mar')
    expect(cost(meeting())).toBe('Takes 30 min of 7 h free that day.')
    expect(cost(meeting({ past: true }))).toBe('It has passed.')
    expect(people(meeting())).toBe('Bo has not answered')
  })
})

describe('the strip of its day', () => {
  it('reaches over the working time and all that is on', () => {
    const drawn = strip(AROUND)
    expect(drawn.hours.map((hour) => hour.text)).toEqual([
      '9',
      '10',
      '11',
      '12',
      '13',
      '14',
      '15',
      '16',
    ])
    expect(drawn.work).toEqual({ left: 0, width: 100 })
    expect(drawn.others[0]?.left).toBeCloseTo(25)
    expect(drawn.asked.left).toBeCloseTo(31.25)
    expect(drawn.asked.width).toBeCloseTo(12.5)
  })

  it('holds what lies outside of it, and a day off', () => {
    const evening = strip({ ...AROUND, fromMinute: 1200, toMinute: 1440, workFrom: 0, workTo: 0 })
    expect(evening.work.width).toBe(0)
    expect(evening.asked.left + evening.asked.width).toBeCloseTo(100)
    expect(
      strip({ ...AROUND, meetings: [], fromMinute: 0, toMinute: 0, workFrom: 0, workTo: 0 }).hours,
    ).toHaveLength(1)
  })
})

describe('the card of a meeting', () => {
  async function shown(more: Partial<InvitationView> = {}) {
    const server = fakeServer()
    server.answers('GET', '/api/messages/{id}/invitation', meeting(more))
    server.answers('POST', '/api/messages/{id}/invitation/answer', {
      commandId: 'c',
      label: 'Accepted',
      topics: [],
    })
    const decided: unknown[] = []
    const page = await opened(MeetingCard, {
      message: { id: 'm1' },
      ready: true,
      onDecide: (call: (header: object) => unknown) => decided.push(call({})),
    })
    await flushPromises()
    return { server, page, decided }
  }

  it('is answered with one key, with the note and the calendar', async () => {
    const { server, page, decided } = await shown()
    expect(page.text()).toContain('Collides with Surveyor.')
    await page.find('[data-test=meeting-note]').setValue('See you')
    await pressedKey('y')
    expect(decided).toHaveLength(1)
    expect(server.sentTo('POST', '/api/messages/{id}/invitation/answer').at(-1)?.body).toEqual({
      participation: 'ACCEPTED',
      note: 'See you',
      calendarId: 'c1',
    })
  })

  it('offers no answer to what is out of date, and says so', async () => {
    const { page, decided } = await shown({
      standing: 'OUT_OF_DATE',
      canAnswer: false,
      newerMessageId: 'm2',
    })
    expect(page.text()).toContain('A later message has changed it.')
    await pressedKey('y')
    expect(decided).toHaveLength(0)
    expect(page.find('[data-test=meeting-accept]').exists()).toBe(false)
  })

  it('says that a meeting is called off', async () => {
    const { page } = await shown({ method: 'CANCEL', standing: 'CALLED_OFF', canAnswer: false })
    expect(page.find('[data-test=meeting-off]').exists()).toBe(true)
    expect(page.find('[data-test=meeting-day]').exists()).toBe(false)
  })
})
