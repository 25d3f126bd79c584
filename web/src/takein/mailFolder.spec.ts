import { describe, expect, it } from 'vitest'
import { inMbox, messagesIn } from '@/takein/mailFolder'

function file(path: string): File {
  const made = new File(['x'], path.split('/').at(-1) ?? '')
  Object.defineProperty(made, 'webkitRelativePath', { value: path })
  return made
}

const text = (message: string) =>
  new Blob(inMbox(new TextEncoder().encode(message), new Date('2026-03-04T10:40:05Z'))).text()

describe('A folder of mail', () => {
  it('gives what lies in cur and new of a Maildir, else its .eml files', () => {
    const maildir = ['m/cur/1:2,S', 'm/.Sent/new/2', 'm/tmp/3', 'm/cur/.hidden', 'm/a.eml'].map(
      file,
    )
    expect(messagesIn(maildir).map((each) => each.webkitRelativePath)).toEqual([
      'm/cur/1:2,S',
      'm/.Sent/new/2',
    ])
    expect(messagesIn(['f/a.eml', 'f/b.EML', 'f/c.txt'].map(file))).toHaveLength(2)
  })

  it('is sent as an mbox in which no line of a message begins another one', async () => {
    expect(await text('A: b\n\nFrom here\n>From there\n> From\nFrom')).toBe(
      'From - Wed Mar 4 10:40:05 2026\nA: b\n\n>From here\n>>From there\n> From\nFrom\n\n',
    )
    expect(await text('From: a\n')).toBe('From - Wed Mar 4 10:40:05 2026\nFrom: a\n\n')
    expect(await text('')).toBe('From - Wed Mar 4 10:40:05 2026\n\n\n')
  })
})
