import { defineStore } from 'pinia'
import { Problem } from '@/api/client'
import { sendFile } from '@/api/files'
import { reload } from '@/api/live'

/** How far a folder of messages has come in. */
export interface Progress {
  readonly done: number
  readonly total: number
  readonly added: number
  readonly known: number
  /** Why it came no further. */
  readonly problem?: string
}

/** So many bytes are sent at once. */
const PART = 8 * 1024 * 1024
const LINE_FEED = 10
const MARK = 62
const FROM = [...new TextEncoder().encode('From ')]

/** The folder that comes in now, or came last; it goes on when another view is opened. */
export const useFolder = defineStore('folder', {
  state: () => ({ progress: undefined as Progress | undefined }),
})

/** The messages of a folder: of a Maildir what lies in `cur` and `new`, of others the `.eml` files. */
export function messagesIn(files: readonly File[]): File[] {
  const within = (file: File) => file.webkitRelativePath.split('/').at(-2)
  const kept = files.filter(
    (file) => ['cur', 'new'].includes(within(file) ?? '') && !file.name.startsWith('.'),
  )
  return kept.length > 0 ? kept : files.filter((file) => /\.eml$/i.test(file.name))
}

/** A message as it stands in an mbox file (RFC 4155): a line that could begin another one is quoted. */
export function inMbox(message: Uint8Array<ArrayBuffer>, at: Date): BlobPart[] {
  const parts: BlobPart[] = [`From - ${asctime(at)}\n`]
  let written = 0
  let lineStart = 0
  while (lineStart < message.length) {
    let from = lineStart
    while (message[from] === MARK) {
      from++
    }
    if (FROM.every((byte, i) => message[from + i] === byte)) {
      parts.push(message.subarray(written, lineStart), '>')
      written = lineStart
    }
    const end = message.indexOf(LINE_FEED, lineStart)
    lineStart = end < 0 ? message.length : end + 1
  }
  const ended = message.at(-1) === LINE_FEED
  return [...parts, message.subarray(written), ended ? '\n' : '\n\n']
}

/** The date as `asctime` writes it, in UTC. */
function asctime(at: Date): string {
  const [week = '', date = '', month = '', year = '', time = ''] = at.toUTCString().split(' ')
  return `${week.replace(',', '')} ${month} ${Number(date)} ${time} ${year}`
}

/** Takes in a folder part by part. What came in before something went wrong stays, and is known when it is taken in again. */
export async function takeInFolder(files: readonly File[]): Promise<void> {
  const folder = useFolder()
  const messages = messagesIn(files)
  let now: Progress = { done: 0, total: messages.length, added: 0, known: 0 }
  folder.progress = now
  if (messages.length === 0) {
    folder.progress = {
      ...now,
      problem: 'There is no message in this folder: no cur or new of a Maildir, no .eml file.',
    }
    return
  }
  let parts: BlobPart[] = []
  let size = 0
  let count = 0
  for (const [place, message] of messages.entries()) {
    try {
      parts.push(
        ...inMbox(new Uint8Array(await message.arrayBuffer()), new Date(message.lastModified)),
      )
      size += message.size
      count++
      if (size < PART && place < messages.length - 1) {
        continue
      }
      const result = await sendFile(new Blob(parts), true)
      now = {
        ...now,
        done: now.done + count,
        added: now.added + result.added,
        known: now.known + result.known,
      }
      folder.progress = now
    } catch (problem) {
      const why = problem instanceof Problem ? problem.message : String(problem)
      folder.progress = { ...now, problem: why }
      return
    }
    parts = []
    size = 0
    count = 0
  }
  reload(['INTAKE', 'THREADS', 'SOURCES'])
}
