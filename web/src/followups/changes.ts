import {
  client,
  type Arrangement,
  type Done,
  type FollowUpChoice,
  type FollowUpLine,
  type FollowUpRequest,
} from '@/api/client'
import { run } from '@/api/commands'

/** Ends a follow-up or opens it again. */
export function setState(
  line: FollowUpLine,
  state: FollowUpLine['state'],
): Promise<Done | undefined> {
  return run((header) =>
    client.POST('/api/follow-ups/{id}/state', {
      params: { path: { id: line.id }, query: { state, version: line.version }, header },
    }),
  )
}

/** A decision about several before anything is said. */
export const NOTHING_SAID: Omit<FollowUpChoice, 'ids' | 'kind'> = {
  day: null,
  categoryId: null,
  priority: null,
  place: null,
  personName: null,
  personAddress: null,
  minutes: null,
  past: null,
}

/** One decision about several, with one way back. */
export function decideFollowUps(
  ids: readonly string[],
  choice: Omit<FollowUpChoice, 'ids'>,
): Promise<Done | undefined> {
  return run((header) =>
    client.POST('/api/follow-ups/decisions', {
      params: { header },
      body: { ids: [...ids], ...choice },
    }),
  )
}

/** Puts some elsewhere in my own order; the group as it stands after that. */
export function orderFollowUps(
  group: readonly string[],
  moved: readonly string[],
): Promise<Done | undefined> {
  return run((header) =>
    client.POST('/api/follow-ups/order', {
      params: { header },
      body: { group: [...group], moved: [...moved] },
    }),
  )
}

/** Keeps how the list stands, under a name. */
export function keepArrangement(arrangement: Arrangement): Promise<Done | undefined> {
  const { id, ...body } = arrangement
  return run((header) =>
    client.PUT('/api/arrangements/{id}', { params: { path: { id }, header }, body }),
  )
}

export function dropArrangement(id: string): Promise<Done | undefined> {
  return run((header) =>
    client.DELETE('/api/arrangements/{id}', { params: { path: { id }, header } }),
  )
}

/** Changes what the sentence says. */
export function change(
  line: FollowUpLine,
  changed: Partial<FollowUpRequest>,
  /** Whether those that come after it in its series are to be like it too. */
  following = false,
): Promise<Done | undefined> {
  const body: FollowUpRequest = {
    title: line.title,
    replyDay: line.replyDay,
    replyTime: line.replyTime,
    firm: line.firm,
    categoryId: line.categoryId,
    effortMinutes: line.effortMinutes,
    priority: line.priority,
    forReply: line.forReply,
    details: null,
    ...changed,
  }
  return run((header) =>
    client.PUT('/api/follow-ups/{id}', {
      params: { path: { id: line.id }, query: { version: line.version, following }, header },
      body,
    }),
  )
}

/** Lets one come back in a rhythm, or no more where the words are empty. */
export function repeat(line: FollowUpLine, words: string): Promise<Done | undefined> {
  return run((header) =>
    words === ''
      ? client.DELETE('/api/follow-ups/{id}/repetition', {
          params: { path: { id: line.id }, header },
        })
      : client.PUT('/api/follow-ups/{id}/repetition', {
          params: { path: { id: line.id }, query: { version: line.version }, header },
          body: { words },
        }),
  )
}
