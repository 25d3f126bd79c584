import { client, newId, type CloseReason, type Done, type ThreadDecisions } from '@/api/client'
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

/** Makes a follow-up of what was asked or promised in a message, which my answer ends. */
export function followUpOf(of: {
  messageId: string
  title: string
  byDay: string | null
  byTime: string | null
}): Promise<Done | undefined> {
  return run((header) =>
    client.POST('/api/messages/{messageId}/follow-ups/{id}', {
      params: { path: { messageId: of.messageId, id: newId() }, header },
      body: {
        title: of.title,
        replyDay: of.byDay,
        replyTime: of.byTime,
        firm: of.byDay !== null,
        categoryId: null,
        effortMinutes: null,
        priority: null,
        forReply: true,
        details: null,
      },
    }),
  )
}
