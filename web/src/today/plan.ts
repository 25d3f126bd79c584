import { client, type Band, type Done, type FollowUpLine } from '@/api/client'
import { run } from '@/api/commands'

/** Plans each for its day. */
export function planFor(
  wishes: readonly { followUpId: string; day: string }[],
): Promise<Done | undefined> {
  return run((header) =>
    client.POST('/api/plan', { params: { header }, body: { wishes: [...wishes] } }),
  )
}

/** Takes some out of their days. */
export function takeOut(ids: readonly string[]): Promise<Done | undefined> {
  return run((header) =>
    client.POST('/api/plan/out', { params: { header }, body: { ids: [...ids] } }),
  )
}

/** Puts a band of a day in this order. */
export function order(
  day: string,
  band: Band,
  inOrder: readonly string[],
): Promise<Done | undefined> {
  return run((header) =>
    client.PUT('/api/plan/order', {
      params: { header },
      body: { day, band, inOrder: [...inOrder] },
    }),
  )
}

/** Starts the clock of one, or stops it. */
export function setClock(id: string, running: boolean): Promise<Done | undefined> {
  return run((header) =>
    running
      ? client.POST('/api/follow-ups/{id}/work/start', { params: { path: { id }, header } })
      : client.POST('/api/follow-ups/{id}/work/stop', { params: { path: { id }, header } }),
  )
}

/** Time that was spent on one without its clock: up to now, or from a time of a day. */
export function addWork(
  id: string,
  minutes: number,
  begun?: { day: string; from: string },
): Promise<Done | undefined> {
  return run((header) =>
    client.POST('/api/follow-ups/{id}/work', {
      params: { path: { id }, header },
      body: { minutes, day: begun?.day ?? null, from: begun?.from ?? null },
    }),
  )
}

/** Gives one a time of its own in a day, in words: "2pm 1h", or none where they are empty. */
export function startInWords(
  id: string,
  day: string,
  words: string,
  saysProblem?: (problem: unknown) => boolean,
): Promise<Done | undefined> {
  return setStart(id, { day, words, at: null, minutes: null }, saysProblem)
}

/** Gives one a time of its own in a day. */
export function startAt(
  id: string,
  day: string,
  at: string,
  minutes: number | null,
): Promise<Done | undefined> {
  return setStart(id, { day, words: null, at, minutes })
}

function setStart(
  followUpId: string,
  body: { day: string; words: string | null; at: string | null; minutes: number | null },
  saysProblem?: (problem: unknown) => boolean,
): Promise<Done | undefined> {
  return run(
    (header) =>
      client.PUT('/api/plan/{followUpId}/start', {
        params: { path: { followUpId }, header },
        body,
      }),
    'undoable',
    saysProblem,
  )
}

/** Puts one off until a day; past its own firm date only where that is said. */
export function putOff(
  line: FollowUpLine,
  until: string,
  pastReplyBy: boolean,
): Promise<Done | undefined> {
  return run((header) =>
    client.POST('/api/follow-ups/{id}/put-off', {
      params: {
        path: { id: line.id },
        query: { version: line.version, until, pastReplyBy },
        header,
      },
    }),
  )
}

/** Hands one over to somebody, with the message that it came from: it ends here, and their answer is waited for. */
export function giveAway(
  followUpId: string,
  messageId: string,
  to: { name: string; address: string; text: string; wantedDay: string | null },
): Promise<Done | undefined> {
  return run((header) =>
    client.POST('/api/messages/{id}/hand-over', {
      params: { path: { id: messageId }, header },
      body: { ...to, followUpId },
    }),
  )
}
