import { client, type CloseReason, type Done, type ThreadDecisions } from '@/api/client'
import { run } from '@/api/commands'

/** What is decided about one or several threads. */
export type ThreadChoice = Pick<ThreadDecisions, 'choice'> &
  Partial<Pick<ThreadDecisions, 'reason' | 'day' | 'endFollowUps'>>

/** Why a thread is closed, each with its letter. */
export const CLOSING: readonly { reason: CloseReason; letter: string }[] = [
  { reason: 'ANSWERED', letter: 'a' },
  { reason: 'DONE_ELSEWHERE', letter: 'd' },
  { reason: 'NOT_NEEDED', letter: 'n' },
  { reason: 'GIVEN_UP', letter: 'g' },
]

/** One decision about some threads, with one way back. */
export function decideThreads(
  threadIds: readonly string[],
  choice: ThreadChoice,
): Promise<Done | undefined> {
  return run((header) =>
    client.POST('/api/threads/decisions', {
      params: { header },
      body: {
        threadIds: [...threadIds],
        reason: null,
        day: null,
        endFollowUps: false,
        ...choice,
      },
    }),
  )
}

/** Makes one thread of several, with one way back. */
export function joinThreads(threadIds: readonly string[]): Promise<Done | undefined> {
  return run((header) =>
    client.POST('/api/threads/join', {
      params: { header },
      body: { threadIds: [...threadIds] },
    }),
  )
}
