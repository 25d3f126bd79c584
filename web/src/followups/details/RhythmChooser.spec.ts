import { flushPromises, mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import RhythmChooser from '@/followups/details/RhythmChooser.vue'
import { fakeServer } from '@/testing/fakeServer'

describe('the chooser of a rhythm', () => {
  function shown(chosen = '') {
    const server = fakeServer()
    const wrapper = mount(RhythmChooser, { props: { chosen } })
    return { server, wrapper }
  }

  async function typed(wrapper: ReturnType<typeof shown>['wrapper'], words: string) {
    await wrapper.find('[data-test=rhythm-typed]').setValue(words)
    await wrapper.find('[data-test=rhythm-typed]').trigger('keydown', { key: 'Enter' })
    await flushPromises()
  }

  it('takes what was typed in the words that were understood, and shows its days', async () => {
    const { server, wrapper } = shown()
    server.answers('POST', '/api/repetition/read', {
      words: 'every 2 weeks on Tuesday',
      days: ['2026-03-10', '2026-03-24'],
    })
    await typed(wrapper, 'every second tues')
    expect(server.sentTo('POST', '/api/repetition/read').at(-1)?.body).toEqual({
      words: 'every second tues',
    })
    expect(wrapper.emitted('choose')).toEqual([['every 2 weeks on Tuesday']])
    expect(wrapper.find('[data-test=rhythm-read]').text()).toContain('10 Mar')
  })

  it('takes nothing that gives no day, and says so', async () => {
    const { server, wrapper } = shown()
    server.answers('POST', '/api/repetition/read', { words: 'every year on 30 February', days: [] })
    await typed(wrapper, 'every year on 30 February')
    expect(wrapper.emitted('choose')).toBeUndefined()
    expect(wrapper.text()).toContain('No day is ever like that')
    server.answers('POST', '/api/repetition/read', { words: '', days: [] })
    await typed(wrapper, 'now and then')
    expect(wrapper.emitted('choose')).toBeUndefined()
    expect(wrapper.find('[data-test=rhythm-read]').text()).toContain('In words')
  })

  it('says why it cannot read, and keeps what was typed', async () => {
    const { server, wrapper } = shown()
    server.refuses('POST', '/api/repetition/read', 'The application does not answer.')
    await typed(wrapper, 'every week')
    expect(wrapper.text()).toContain('does not answer')
    expect((wrapper.find('[data-test=rhythm-typed]').element as HTMLInputElement).value).toBe(
      'every week',
    )
  })

  it('ends a series that goes on', async () => {
    const { wrapper } = shown('every week')
    expect(wrapper.find('[data-test=rhythm-once]').text()).toContain('the series ends')
    await wrapper.find('[data-test=rhythm-once]').trigger('click')
    expect(wrapper.emitted('choose')).toEqual([['']])
  })
})
