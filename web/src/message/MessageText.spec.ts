import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import MessageText from '@/message/MessageText.vue'

const TEXT = 'Hi Ines, could you send the plan by Friday? See https://quay.example/plan <b>now</b>'

describe('a message text', () => {
  it('underlines the ask, boxes the date and says why on both', () => {
    const from = TEXT.indexOf('could')
    const date = TEXT.indexOf('by Friday')
    const wrapper = mount(MessageText, {
      props: {
        text: TEXT,
        marks: [
          { from, to: TEXT.indexOf('?') + 1, kind: 'ASK', why: 'asked of me' },
          { from: date, to: date + 9, kind: 'DATE', why: 'Fri 6 Mar, firm' },
        ],
      },
    })
    expect(wrapper.find('[data-test=ask]').attributes('title')).toBe('asked of me')
    expect(wrapper.find('[data-test=date]').text()).toBe('by Friday')
    expect(wrapper.find('[data-test=date]').attributes('title')).toBe(
      'Fri 6 Mar, firm; asked of me',
    )
  })

  it('makes links safe and shows markup as it was written', () => {
    const wrapper = mount(MessageText, { props: { text: TEXT } })
    const link = wrapper.find('a')
    expect(link.attributes()).toMatchObject({ target: '_blank', rel: 'noopener noreferrer' })
    expect(wrapper.find('b').exists()).toBe(false)
    expect(wrapper.text()).toBe(TEXT)
  })
})
