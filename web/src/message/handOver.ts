import { client, type Done, type MessageView } from '@/api/client'
import { run } from '@/api/commands'

export type HandOverState = NonNullable<MessageView['handOver']>['state']

/** What became of something that I gave away, before the name of whoever took it. */
export const GIVEN: Record<HandOverState, string> = {
  OFFERED: 'Handed over to',
  SEEN: 'Seen by',
  ACCEPTED: 'Accepted by',
  WORKING: 'Being worked on by',
  HANDED_ON: 'Handed on by',
  DONE: 'Done by',
  DECLINED: 'Declined by',
  TAKEN_BACK: 'Taken back from',
}

/** The same of something that was given to me. */
export const TAKEN: Record<HandOverState, string> = {
  OFFERED: 'to be accepted',
  SEEN: 'to be accepted',
  ACCEPTED: 'accepted',
  WORKING: 'being worked on',
  HANDED_ON: 'handed on',
  DONE: 'done',
  DECLINED: 'declined',
  TAKEN_BACK: 'taken back',
}

/** Whether something is still to come of it. */
export function isOpen(state: HandOverState): boolean {
  return !['DONE', 'DECLINED', 'TAKEN_BACK'].includes(state)
}

type Answered = Promise<Done | undefined>

export function accept(id: string, day: string | null, followUp: boolean): Answered {
  return run((header) =>
    client.POST('/api/messages/{id}/accept', {
      params: { path: { id }, header },
      body: { day, followUp },
    }),
  )
}

export function decline(id: string, word: string): Answered {
  return run(
    (header) =>
      client.POST('/api/messages/{id}/decline', {
        params: { path: { id }, header },
        body: { word },
      }),
    'final',
  )
}

export function working(id: string): Answered {
  return run((header) =>
    client.POST('/api/messages/{id}/hand-over/working', { params: { path: { id }, header } }),
  )
}

export function done(id: string, word: string): Answered {
  return run((header) =>
    client.POST('/api/messages/{id}/hand-over/done', {
      params: { path: { id }, header },
      body: { word },
    }),
  )
}

export function takeBack(id: string): Answered {
  return run(
    (header) =>
      client.POST('/api/messages/{id}/hand-over/back', { params: { path: { id }, header } }),
    'final',
  )
}

/** The giver sees that it was looked at; nothing is said of it here. */
export function seen(id: string): void {
  void client.POST('/api/messages/{id}/hand-over/seen', { params: { path: { id } } })
}
