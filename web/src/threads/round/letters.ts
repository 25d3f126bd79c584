import { client, unwrap, type DueView, type SessionView } from '@/api/client'
import { run } from '@/api/commands'
import { queryClient } from '@/api/queries'
import { decideThreads, type ThreadChoice } from '@/threads/decide'

const KEPT = 'chase-letter '

/** Of each account at this browser its own. */
function place(key: string): string {
  const session = queryClient.getQueryData<SessionView>(['session'])
  return `${KEPT}${session?.account?.id ?? ''} ${key}`
}

/** By what a letter is known: to whom; in a room, each thread has a letter of its own. */
export function keyOf(due: DueView): string {
  return due.channel === 'CHAT'
    ? [due.party.address, ...due.open.map((each) => each.threadId)].join(' ')
    : due.party.address
}

/** What was typed, and the threads of which it speaks. */
export interface Letter {
  text: string
  about: string[]
}

/** What was typed into a letter that has not gone out, in this browser. */
export function keptLetter(key: string): Letter | undefined {
  const kept = localStorage.getItem(place(key))
  return kept === null ? undefined : (JSON.parse(kept) as Letter)
}

export function keepLetter(key: string, letter: Letter | undefined): void {
  if (letter === undefined) {
    localStorage.removeItem(place(key))
  } else {
    localStorage.setItem(place(key), JSON.stringify(letter))
  }
}

/** The draft about some of what somebody owes. */
export async function draftAbout(due: DueView, threads: string[]): Promise<string> {
  const answer = await unwrap(
    client.GET('/api/chases/draft', {
      params: { query: { party: due.party.address, threads } },
    }),
  )
  return answer.text
}

/** Sends a reminder; `to` where it goes another way. */
export function sendLetter(
  due: DueView,
  threads: string[],
  text: string,
  to: string | null,
  room: string | null = null,
) {
  const [first = '', ...others] = threads
  return run((header) =>
    client.POST('/api/threads/{id}/chase', {
      params: { path: { id: first }, header },
      body: { party: due.party.address, text, others, to, room },
    }),
  )
}

/** Decides about all threads of a letter. */
export function decideAbout(due: DueView, choice: ThreadChoice) {
  return decideThreads(
    due.open.map((each) => each.threadId),
    choice,
  )
}
