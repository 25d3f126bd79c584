import { QueryClient, VueQueryPlugin } from '@tanstack/vue-query'
import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import type { FollowUpRequest, MessageView } from '@/api/client'
import FollowUpSentence from '@/intake/FollowUpSentence.vue'

const message = {
  id: 'm1',
  from: { name: 'Tilda Brandt', address: 'tilda@brandt-cranes.example' },
  reading: { party: 'tilda@brandt-cranes.example', list: false },
  proposal: {
    title: 'Answer Tilda about the crane quote',
    replyBy: '2026-03-06',
    firm: false,
    replyByReason: 'two working days',
    categoryId: 'c1',
    categoryReason: 'as with the last one',
    effortMinutes: 15,
    priority: 'NORMAL',
    replyTime: null,
    forReply: true,
    sentence: '',
    people: [],
  },
  proposals: [],
  to: [],
  cc: [],
} as unknown as MessageView
const categories = [
  {
    id: 'c1',
    name: 'Crane',
    hue: 'CLAY',
    monogram: 'Cr',
    letter: 'c',
    replyDays: null,
    effortMinutes: null,
    retired: false,
    version: 0,
  },
  {
    id: 'c2',
    name: 'Berths',
    hue: 'TIDE',
    monogram: 'Be',
    letter: 'b',
    replyDays: null,
    effortMinutes: null,
    retired: false,
    version: 0,
  },
] as const

const FULL = {
  day: '2026-03-06',
  time: null,
  off: '',
  due: 9,
  dueMinutes: 420,
  freeMinutes: 384,
  full: true,
}

const CHOICES = [
  { label: 'Today', day: '2026-03-04' },
  { label: 'Next working day', day: '2026-03-05' },
]

function open(choices: typeof CHOICES = [], of: MessageView = message) {
  const queryClient = new QueryClient({ defaultOptions: { queries: { staleTime: Infinity } } })
  queryClient.setQueryData(['day', FULL.day], FULL)
  queryClient.setQueryData(['follow-ups'], { open: [], later: [], ended: [], undated: 0 })
  return mount(FollowUpSentence, {
    props: { message: of, categories, choices },
    attachTo: document.body,
    global: { plugins: [[VueQueryPlugin, { queryClient }]] },
  })
}

function accepted(wrapper: ReturnType<typeof open>): FollowUpRequest | undefined {
  return wrapper.emitted<[FollowUpRequest]>('accept')?.[0]?.[0]
}

describe('the sentence', () => {
  it('is accepted as it stands', async () => {
    const wrapper = open()
    expect(document.activeElement?.getAttribute('data-test')).toBe('accept')
    expect(wrapper.text()).toContain('because two working days')
    expect(wrapper.find('[data-test=day-notice]').text()).toContain('is full: 9 due')
    await wrapper.find('form').trigger('submit')
    expect(accepted(wrapper)).toEqual({
      title: 'Answer Tilda about the crane quote',
      replyDay: '2026-03-06',
      replyTime: null,
      firm: false,
      categoryId: 'c1',
      effortMinutes: 15,
      priority: 'NORMAL',
      forReply: true,
      details: { startDay: null, place: '', people: [], checklist: [], note: '' },
    })
  })

  it('can be corrected part by part', async () => {
    const wrapper = open()
    await wrapper.find('[data-test=title]').setValue('Send Tilda the plan')
    await wrapper.find('[data-test=firm]').trigger('click')
    await wrapper.find('[data-test=category]').trigger('keydown', { key: 'b' })
    await wrapper.find('form').trigger('submit')
    expect(accepted(wrapper)).toMatchObject({
      title: 'Send Tilda the plan',
      firm: true,
      categoryId: 'c2',
    })
  })

  it('needs a title and is left with Escape', async () => {
    const wrapper = open()
    await wrapper.find('[data-test=title]').setValue('  ')
    await wrapper.find('form').trigger('submit')
    expect(accepted(wrapper)).toBeUndefined()
    await wrapper.find('form').trigger('keydown', { key: 'Escape' })
    expect(wrapper.emitted('cancel')).toHaveLength(1)
  })

  it('takes a day by its digit, but not while something is typed', async () => {
    const wrapper = open(CHOICES)
    await wrapper.find('[data-test=title]').trigger('keydown', { key: '1' })
    await wrapper.find('[data-test=accept]').trigger('keydown', { key: '9' })
    await wrapper.find('[data-test=accept]').trigger('keydown', { key: '2' })
    await wrapper.find('form').trigger('submit')
    expect(accepted(wrapper)).toMatchObject({ replyDay: '2026-03-05' })
  })

  it('proposes the priority that the message asks for, and takes another one by its letter', async () => {
    const wrapper = open([], { ...message, proposal: { ...message.proposal, priority: 'HIGH' } })
    expect(wrapper.find('[data-test=priority-reason]').text()).toContain('urgent')
    await wrapper.find('[data-letter=i]').trigger('click')
    await wrapper.find('form').trigger('submit')
    expect(accepted(wrapper)).toMatchObject({ priority: 'LOW' })
    expect(wrapper.find('[data-test=priority-reason]').exists()).toBe(false)
  })
})
