import { DOMWrapper, flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import FileViewer from '@/files/FileViewer.vue'
import { useViewedFile, type ViewedFile } from '@/files/viewing'
import { opened } from '@/testing/fakeServer'

const TEXT: ViewedFile = {
  address: '/api/messages/m1/files/0',
  name: 'notes.txt',
  type: 'text/plain',
  size: 20,
  viewable: true,
}
const body = new DOMWrapper(document.body)
const viewer = () => body.find('[data-test=file-viewer]')

async function shown(file: ViewedFile): Promise<void> {
  await opened(FileViewer)
  useViewedFile().file = file
  await flushPromises()
}

beforeEach(() => {
  // The window of the tests has no dialogs of its own.
  HTMLDialogElement.prototype.showModal = vi.fn()
})
afterEach(() => {
  vi.unstubAllGlobals()
})

describe('A file in place', () => {
  it('shows a text, of a long one the beginning', async () => {
    vi.stubGlobal('fetch', () => Promise.resolve(new Response('x'.repeat(500_001))))
    await shown(TEXT)
    expect(viewer().find('pre').text()).toHaveLength(500_000)
    expect(viewer().text()).toContain('Its beginning. Save it to see all of it.')
  })

  it('says in the server’s words why it cannot be shown, and that nothing is lost', async () => {
    const detail = 'The file is damaged on the disk.'
    vi.stubGlobal('fetch', () => Promise.resolve(Response.json({ detail }, { status: 500 })))
    await shown(TEXT)
    expect(viewer().text()).toContain(detail)
    expect(viewer().text()).toContain('Its message is not changed by that.')
  })

  it('shows no answer of a file that was closed or left meanwhile', async () => {
    const answers: ((response: Response) => void)[] = []
    vi.stubGlobal('fetch', () => new Promise<Response>((resolve) => answers.push(resolve)))
    await shown(TEXT)
    useViewedFile().file = { ...TEXT, address: '/other', name: 'other.txt' }
    await flushPromises()
    answers[1]?.(new Response('the other'))
    await flushPromises()
    answers[0]?.(new Response('the first'))
    await flushPromises()
    expect(viewer().text()).toContain('the other')
    expect(viewer().text()).not.toContain('the first')
  })

  it('asks the server for a picture, and says when it is none', async () => {
    await shown({ ...TEXT, name: 'crane.png', type: 'image/png' })
    const picture = viewer().find('img')
    expect(picture.attributes('src')).toBe('/api/messages/m1/files/0?view=true')
    await picture.trigger('error')
    expect(viewer().text()).toContain('This picture is damaged, or is no picture.')
  })

  it('closes', async () => {
    vi.stubGlobal('fetch', () => Promise.resolve(new Response('x')))
    await shown(TEXT)
    const close = viewer()
      .findAll('button')
      .find((button) => button.text().startsWith('Close'))
    await close?.trigger('click')
    expect(viewer().exists()).toBe(false)
    expect(useViewedFile().file).toBeUndefined()
  })
})
