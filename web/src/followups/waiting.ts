import { client, type Done, type FollowUpLine } from '@/api/client'
import { run } from '@/api/commands'
import { day } from '@/ui/time'

type Waiting = NonNullable<FollowUpLine['waiting']>
export type WaitsFor = Pick<Waiting, 'person' | 'threadId' | 'until'>

export const NOTHING: WaitsFor = { person: null, threadId: null, until: null }

/** What a follow-up waits for, in words. */
export function waitingText(waiting: WaitsFor | Waiting): string {
  const who = waiting.person ? waiting.person.name || waiting.person.address : ''
  const parts = [
    who ? `until ${who.split(' ')[0] ?? who} writes` : '',
    waiting.threadId ? `${who ? 'or' : 'until'} somebody answers in the thread` : '',
  ].filter(Boolean)
  const needed = 'needed' in waiting && waiting.needed ? waiting.needed.length : 0
  if (needed > 0) {
    const first = needed === 1 ? 'another follow-up is done' : `${needed} others are done`
    parts.push(parts.length ? `and until ${first}` : `until ${first}`)
  }
  if (waiting.until) {
    parts.push(parts.length ? `at the latest ${day(waiting.until)}` : `until ${day(waiting.until)}`)
  }
  return parts.join(', ')
}

/** What has come, in words: somebody's word, or the day. */
export function comeText(waiting: Waiting): string {
  return waiting.come
    ? waiting.come.messageId
      ? `${waiting.come.from}: “${waiting.come.words}”`
      : waiting.come.words
        ? `what was needed first has ended: ${waiting.come.words}`
        : 'nothing is needed first any more'
    : waiting.until
      ? `${day(waiting.until)} has come`
      : ''
}

/** Lets a follow-up wait, or no longer. */
export function waitFor(line: FollowUpLine, what: WaitsFor): Promise<Done | undefined> {
  return run((header) =>
    client.PUT('/api/follow-ups/{id}/waiting', {
      params: { path: { id: line.id }, query: { version: line.version }, header },
      body: what,
    }),
  )
}
