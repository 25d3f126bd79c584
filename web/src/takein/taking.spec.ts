import { describe, expect, it } from 'vitest'
import { arrive, sortOf, useArriving } from '@/takein/arriving'
import { assigned, toTakeIn } from '@/takein/taking'

describe('A file', () => {
  it('goes where what is in it belongs', async () => {
    const sort = (name: string, content: string) => sortOf(new File([content], name))
    expect(await sort('a.eml', 'x')).toBe('messages')
    expect(await sort('inbox', 'From bo@x.example Wed Mar  4')).toBe('messages')
    expect(await sort('x', 'Received: from a by b')).toBe('messages')
    expect(await sort('bo.vcf', 'BEGIN:VCARD\nFN:Bo')).toBe('people')
    expect(await sort('m.ics', '\ufeffBEGIN:VCALENDAR\nBEGIN:VEVENT')).toBe('messages')
    expect(await sort('t.ics', 'BEGIN:VCALENDAR\r\nBEGIN:VTODO')).toBe('followUps')
    expect(await sort('from.csv', 'From: ,to')).toBe('followUps')
    expect(await sort('list.md', '- [ ] x')).toBe('followUps')
  })

  it('of follow-ups waits behind those before it', async () => {
    useArriving().waiting = []
    expect(await arrive(new File(['a,b'], 'one.csv'))).toBe(true)
    expect(await arrive(new File(['a,b'], 'two.csv'))).toBe(true)
    expect(useArriving().waiting.map((file) => file.name)).toEqual(['one.csv', 'two.csv'])
  })

  it('is sent whole, whatever bytes it has', async () => {
    const made = await toTakeIn(new File([new Uint8Array([0xe4, 0x2c, 0x0a])], 'a.csv'))
    expect(made).toMatchObject({ name: 'a.csv', content: '5CwK', columns: null })
    await expect(toTakeIn(new File([new Uint8Array(5_000_000)], 'b.csv'))).rejects.toThrow('4 MB')
  })
})

describe('A column', () => {
  it('takes what only one can say from the other', () => {
    expect(assigned(['TITLE', 'NOTE', 'NOTHING'], 2, 'TITLE')).toEqual(['NOTHING', 'NOTE', 'TITLE'])
    expect(assigned(['TITLE', 'NOTE', 'NOTHING'], 2, 'NOTE')).toEqual(['TITLE', 'NOTE', 'NOTE'])
  })
})
