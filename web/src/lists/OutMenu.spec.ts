import { flushPromises } from '@vue/test-utils'
import { beforeEach, describe, expect, it } from 'vitest'
import { defineComponent, h } from 'vue'
import OutMenu from '@/lists/OutMenu.vue'
import { fakeServer, opened } from '@/testing/fakeServer'

const LIST = {
  title: 'Follow-ups',
  words: '',
  heading: ['What'],
  groups: [{ title: 'Late', rows: [['Ring Otto']] }],
}
const View = defineComponent({ render: () => h(OutMenu, { list: () => LIST }) })
let server: ReturnType<typeof fakeServer>

beforeEach(() => {
  server = fakeServer()
  server.answers('POST', '/api/lists/mail', { commandId: 'c', label: 'Mailed', topics: [] })
})

describe('A list', () => {
  it('is mailed as it is seen, with words', async () => {
    const page = await opened(View)
    await page.find('[data-test=list-out]').trigger('click')
    await flushPromises()
    const panel = document.querySelector('[data-test=list-out-panel]')
    const to = panel?.querySelector<HTMLInputElement>('[data-test=list-to]')
    const words = panel?.querySelector<HTMLTextAreaElement>('[data-test=list-words]')
    expect(to && words).toBeTruthy()
    if (to && words) {
      to.value = 'otto@x.example'
      to.dispatchEvent(new Event('input'))
      words.value = 'For Thursday'
      words.dispatchEvent(new Event('input'))
    }
    panel?.querySelector('form')?.dispatchEvent(new Event('submit'))
    await flushPromises()
    expect(server.sentTo('POST', '/api/lists/mail').at(-1)?.body).toEqual({
      to: 'otto@x.example',
      list: { ...LIST, words: 'For Thursday' },
    })
  })
})
