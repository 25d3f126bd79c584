import { flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { client, type FileLookedAt, type LineToTakeIn } from '@/api/client'
import FileView from '@/takein/FileView.vue'
import { fakeServer, opened, pressed, pressedKey } from '@/testing/fakeServer'

function line(number: number, more: Partial<LineToTakeIn> = {}): LineToTakeIn {
  return {
    line: number,
    title: `Task ${number}`,
    replyDay: null,
    replyTime: null,
    startDay: null,
    categoryId: null,
    effortMinutes: null,
    priority: 'NORMAL',
    people: [],
    place: '',
    note: '',
    steps: 0,
    repeats: '',
    category: '',
    usable: true,
    taken: true,
    problems: [],
    remarks: [],
    ...more,
  }
}

const SEEN: FileLookedAt = {
  sort: 'TABLE',
  charset: 'UTF-8',
  table: {
    separator: ';',
    headed: true,
    columns: [
      { heading: 'Task', says: 'TITLE', examples: ['Task 2'] },
      { heading: 'Nr', says: 'NOTHING', examples: ['7'] },
    ],
    monthFirst: false,
    datesCertain: false,
    datesMixed: false,
  },
  unknownCategories: ['Moorings'],
  lines: [
    line(2),
    line(3, { usable: false, taken: false, problems: ['Has no title.'] }),
    line(4, { taken: false, remarks: ['Is there already.'] }),
  ],
  events: 0,
  more: false,
}
const FILE = new File(['Task;Nr\n'], 'list.csv')
let server: ReturnType<typeof fakeServer>

beforeEach(() => {
  server = fakeServer()
  server.answers('GET', '/api/categories', [])
  server.answers('POST', '/api/take-in/look', SEEN)
  server.answers('POST', '/api/take-in', { commandId: 'c1', label: 'Done', topics: [] })
})
afterEach(() => {
  vi.restoreAllMocks()
  document.body.innerHTML = ''
})

async function looked() {
  const page = await opened(FileView, { file: FILE, more: 0 })
  await vi.waitFor(() => {
    expect(page.find('[data-test=take-in]').exists()).toBe(true)
  })
  return page
}

describe('A file of follow-ups', () => {
  it('says what would be taken in, and what not', async () => {
    const page = await looked()
    expect(page.find('[data-test=take-in]').text()).toContain('Take in 1 follow-up')
    expect(page.find('[data-test=broken]').text()).toContain('1 line stays out')
    expect(page.text()).toContain('divided by semicolons, read as UTF-8')
    expect(page.text()).toContain('“Moorings” is')
  })

  it('is read again as columns, dates and categories are said', async () => {
    const page = await looked()
    await page.findAll('[data-test=columns] select')[1]?.setValue('NOTE')
    await flushPromises()
    expect(server.sentTo('POST', '/api/take-in/look').at(-1)?.body).toMatchObject({
      columns: ['TITLE', 'NOTE'],
    })
    await page.find('[data-test=date-order]').setValue('true')
    await flushPromises()
    expect(server.sentTo('POST', '/api/take-in/look').at(-1)?.body).toMatchObject({
      columns: ['TITLE', 'NOTE'],
      monthFirst: true,
    })
  })

  it('keeps all that was said in quick succession, and takes nothing in unseen', async () => {
    const page = await looked()
    const columns = page.findAll('[data-test=columns] select')
    void columns[1]?.setValue('NOTE')
    void page.find('[data-test=category]').setValue('new')
    void page.find('[data-test=date-order]').setValue('true')
    await pressedKey('Enter')
    const sent = server.sentTo('POST', '/api/take-in/look').at(-1)?.body
    expect(sent).toMatchObject({
      columns: ['TITLE', 'NOTE'],
      monthFirst: true,
      categories: [{ name: 'Moorings', isNew: true }],
    })
    await flushPromises()
    await pressedKey('Enter')
    const [taken, ...more] = server.sentTo('POST', '/api/take-in')
    expect(taken?.body).toMatchObject({ file: sent })
    expect(more).toEqual([])
  })

  it('shows nothing of a file in whose place another one has come', async () => {
    const page = await looked()
    let answer: (late: unknown) => void = () => undefined
    vi.mocked(client.POST).mockImplementationOnce(
      (() => new Promise((resolve) => (answer = resolve))) as never,
    )
    await page.find('[data-test=date-order]').setValue('true')
    await page.setProps({ file: new File([new Uint8Array(5_000_000)], 'long.csv') })
    await flushPromises()
    answer({ data: SEEN, response: new Response(null, { status: 200 }) })
    await flushPromises()
    expect(page.text()).toContain('long.csv is larger than 4 MB')
    expect(page.find('[data-test=take-in]').exists()).toBe(false)
  })

  it('takes in what is ticked, by keys too, and never what is broken', async () => {
    const page = await looked()
    await pressedKey('ArrowDown')
    await pressedKey(' ')
    expect(page.find('[data-test=take-in]').text()).toContain('Take in 0')
    await pressedKey('ArrowDown')
    await pressedKey(' ')
    await pressedKey('ArrowDown')
    await pressedKey(' ')
    expect(page.find('[data-test=take-in]').text()).toContain('Take in 1')
    await pressedKey('Enter')
    expect(server.sentTo('POST', '/api/take-in').at(-1)?.body).toMatchObject({ lines: [4] })
    expect(page.emitted('done')).toEqual([[1]])
  })

  it('that cannot be read says why, and another one can be chosen', async () => {
    server.refuses('POST', '/api/take-in/look', 'This file is empty. Nothing was changed.')
    const page = await opened(FileView, { file: FILE, more: 0 })
    await vi.waitFor(() => {
      expect(page.text()).toContain('This file is empty.')
    })
    await pressed(page, 'Choose another file')
    expect(page.emitted('other')).toHaveLength(1)
  })
})
