import { mount, RouterLinkStub } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import type { ThreadMessage } from '@/api/client'
import ThreadMessages from '@/message/ThreadMessages.vue'
import { messageOf } from '@/testing/threads'

function shown(messages: ThreadMessage[]): string[] {
  const page = mount(ThreadMessages, {
    props: { messages },
    global: { stubs: { RouterLink: RouterLinkStub } },
  })
  return page.findAll('[data-test=replies-to]').map((each) => each.text())
}

describe('the messages of a thread', () => {
  it('say what they reply to, unless it stands right before them', () => {
    const asks = messageOf('a')
    const other = messageOf('b', { direction: 'OUTGOING' })
    expect(shown([asks, other, messageOf('c', { answersId: 'a' })])).toEqual([
      'replies to Writer a: Words of a',
    ])
    expect(shown([asks, other, messageOf('c', { answersId: 'b' })])).toEqual([])
    expect(shown([asks, messageOf('c', { answersId: 'elsewhere' })])).toEqual([])
  })

  it('show nothing of what was taken back', () => {
    const page = mount(ThreadMessages, {
      props: { messages: [messageOf('a', { removed: true })] },
      global: { stubs: { RouterLink: RouterLinkStub } },
    })
    expect(page.text()).toContain('Taken back by its writer.')
    expect(page.text()).not.toContain('Words of a')
  })

  it('fold what was dealt with, and mark what is new since', async () => {
    const at = (hour: number) => ({ sentAt: `2026-03-02T0${hour}:00:00Z` })
    const messages = [1, 2, 3, 4, 5, 6].map((hour) => messageOf(String(hour), at(hour)))
    const page = mount(ThreadMessages, {
      props: {
        messages,
        since: '2026-03-02T05:30:00Z',
        newWords: 'new since you decided',
        fold: true,
      },
      global: { stubs: { RouterLink: RouterLinkStub } },
    })
    expect(page.find('[data-test=unfold-messages]').text()).toContain('3 earlier messages')
    expect(page.findAll('[data-test=new-since]').map((each) => each.text())).toEqual([
      'new since you decided',
    ])
    await page.find('[data-test=unfold-messages]').trigger('click')
    expect(page.find('[data-test=unfold-messages]').exists()).toBe(false)
  })
})
