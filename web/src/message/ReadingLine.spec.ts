import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import type { MessageView } from '@/api/client'
import ReadingLine from '@/message/ReadingLine.vue'

function open(changed: Partial<MessageView>, reading: Partial<MessageView['reading']> = {}) {
  const message = {
    nature: 'PERSON',
    asksMe: true,
    ...changed,
    reading: { natureWhy: '', asksWhy: '', replyByWhy: '', list: false, ...reading },
  } as MessageView
  return mount(ReadingLine, { props: { message } })
}

describe('the reading line', () => {
  it('says what is asked, by when, and why', () => {
    const text = open(
      {},
      { asksWhy: 'it says “could you”', replyByWhy: 'Thu 5 Mar, firm, since “by Thursday”' },
    ).text()
    expect(text).toContain('Asks you, since it says “could you”')
    expect(text).toContain('by Thu 5 Mar, firm, since “by Thursday”')
  })

  it('names the nature of what asks nothing and keeps its date to itself', () => {
    const text = open(
      { asksMe: false, nature: 'BULK' },
      { natureWhy: 'its headers say it goes to many', replyByWhy: 'Thu 5 Mar' },
    ).text()
    expect(text).toContain('Asks you nothing, since automatic: its headers say it goes to many')
    expect(text).not.toContain('Thu 5 Mar')
  })

  it('says of a failed delivery and of an invitation what waits, and not that nothing is asked', () => {
    const bounce = open({ asksMe: false, nature: 'BOUNCE' }, { asksWhy: 'it was not delivered' })
    expect(bounce.text()).toContain('Has to go another way, since it was not delivered')
    expect(bounce.text()).not.toContain('nothing')
    expect(open({ asksMe: false, nature: 'INVITATION' }).text()).toContain('Invites you')
  })

  it('offers the opposite for this one and for its sender or list', async () => {
    const wrapper = open({ asksMe: false }, { list: true })
    expect(wrapper.text()).toContain('this list always asks')
    await wrapper.find('[data-test=wrong]').trigger('click')
    await wrapper.find('[data-test=wrong-always]').trigger('click')
    expect(wrapper.emitted('wrong')).toEqual([[false], [true]])
    expect(open({}).text()).toContain('this sender never asks')
  })
})
