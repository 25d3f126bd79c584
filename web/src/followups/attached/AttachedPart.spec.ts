import { flushPromises } from '@vue/test-utils'
import { beforeEach, describe, expect, it } from 'vitest'
import AttachedPart from '@/followups/attached/AttachedPart.vue'
import { fakeServer, opened, pressed, submitted } from '@/testing/fakeServer'

const FILE = '/api/follow-ups/{id}/files/{fileId}'
const LINK = '/api/follow-ups/{id}/links/{linkId}'
const DONE = { commandId: 'c1', label: 'Added', topics: [] }
let server: ReturnType<typeof fakeServer>

beforeEach(() => {
  server = fakeServer()
  server.answers('GET', '/api/follow-ups/{id}/attached', {
    files: [],
    links: [],
    related: [],
    messageFiles: [
      {
        messageId: 'm1',
        index: 2,
        name: 'plan.pdf',
        type: 'application/pdf',
        size: 9,
        viewable: true,
      },
    ],
  })
  server.answers('PUT', FILE, DONE)
  server.answers('PUT', LINK, DONE)
  server.answers('PUT', '/api/follow-ups/{id}/files/{fileId}/from-message', DONE)
})

const open = () => opened(AttachedPart, { id: 'f1' })
const names = () =>
  server.sentTo('PUT', FILE).map((one) => (one.params as { query: { name: string } }).query.name)

/** A file that says it is so large, without being it. */
function fileOf(name: string, size: number): File {
  const file = new File(['x'], name)
  Object.defineProperty(file, 'size', { value: size })
  return file
}

function dropped(...files: File[]): DragEvent {
  const event = new Event('drop', { bubbles: true, cancelable: true }) as DragEvent
  Object.defineProperty(event, 'dataTransfer', { value: { types: ['Files'], files } })
  document.body.dispatchEvent(event)
  return event
}

describe('What lies with a follow-up', () => {
  it('takes files that are dropped anywhere while it is open, and names what is too large', async () => {
    const page = await open()
    const event = dropped(
      fileOf('a.txt', 10),
      fileOf('film.mp4', 25_000_001),
      fileOf('b.txt', 25_000_000),
    )
    expect(event.defaultPrevented).toBe(true)
    await flushPromises()
    expect(names()).toEqual(['a.txt', 'b.txt'])
    expect(page.find('[role=alert]').text()).toBe('film.mp4 was not added: a file may have 25 MB.')
  })

  it('leaves what is dropped to others once it is closed', async () => {
    const page = await open()
    page.unmount()
    expect(dropped(fileOf('a.txt', 10)).defaultPrevented).toBe(false)
    await flushPromises()
    expect(names()).toEqual([])
  })

  it('takes a pasted picture, and leaves pasted words alone', async () => {
    await open()
    const words = new Event('paste', { bubbles: true, cancelable: true })
    document.body.dispatchEvent(words)
    expect(words.defaultPrevented).toBe(false)
    const picture = new Event('paste', { bubbles: true, cancelable: true })
    Object.defineProperty(picture, 'clipboardData', { value: { files: [fileOf('shot.png', 5)] } })
    document.body.dispatchEvent(picture)
    await flushPromises()
    expect(names()).toEqual(['shot.png'])
  })

  it('keeps an address that could not be added where it was typed', async () => {
    const page = await open()
    await page.find('[data-test=attach-link]').trigger('click')
    await submitted(page)
    expect(server.sentTo('PUT', LINK)).toHaveLength(0)
    server.refuses('PUT', LINK, 'That is no address of the web.')
    const url = page.find<HTMLInputElement>('[data-test=link-url]')
    await url.setValue('ftp:/yard')
    await submitted(page)
    expect(url.element.value).toBe('ftp:/yard')
    server.answers('PUT', LINK, DONE)
    await url.setValue('https://yard.example/berths')
    await submitted(page)
    expect(server.sentTo('PUT', LINK).at(-1)?.body).toEqual({
      url: 'https://yard.example/berths',
      title: '',
    })
    expect(page.find('[data-test=link-url]').exists()).toBe(false)
  })

  it('keeps a file of its message here', async () => {
    const page = await open()
    await pressed(page, 'keep it here')
    expect(
      server.sentTo('PUT', '/api/follow-ups/{id}/files/{fileId}/from-message').at(-1)?.body,
    ).toEqual({ messageId: 'm1', index: 2 })
  })
})
