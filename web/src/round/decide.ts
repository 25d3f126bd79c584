import {
  client,
  commandHeader,
  unwrap,
  type Done,
  type RoundLine,
  type RoundStep,
} from '@/api/client'
import { run } from '@/api/commands'
import { reload } from '@/api/live'
import { showProblem } from '@/api/toasts'
import { decideFollowUps, NOTHING_SAID } from '@/followups/changes'
import { decideThreads, followUpOf } from '@/threads/decide'

/** Ends it. */
export const finish = (): Promise<Done | undefined> =>
  run((header) => client.POST('/api/round/finished', { params: { header } }), 'final')

/** Leaves a line as it is. */
export const stays = (line: RoundLine): Promise<Done | undefined> =>
  run((header) =>
    client.POST('/api/round/kept', {
      params: { header },
      body: { key: line.key, name: (line.name || line.who).slice(0, 300) },
    }),
  )

type Bulk = 'NOTHING' | 'PUT_OFF' | 'FOLLOW_UP'

/** Decides about a message of Intake; a follow-up is made as it is proposed. */
export const decideMessage = (
  line: RoundLine,
  decision: Bulk,
  day: string | null = null,
): Promise<Done | undefined> =>
  run((header) =>
    client.POST('/api/intake/decisions', {
      params: { header },
      body: { messageIds: [line.id], decision, day, categoryId: null, handOver: null },
    }),
  )

/** Decides about a follow-up. */
export const decideFollowUp = (
  line: RoundLine,
  kind: 'DONE' | 'DROP' | 'REPLY_BY' | 'PUT_OFF',
  day: string | null = null,
): Promise<Done | undefined> => decideFollowUps([line.id], { ...NOTHING_SAID, kind, day })

/** Makes a follow-up of what was asked or promised. */
export const followUp = (line: RoundLine): Promise<Done | undefined> =>
  followUpOf({ messageId: line.messageId ?? '', title: line.title, byDay: line.day, byTime: null })

/** Decides about a thread. */
export const decideThread = (
  line: RoundLine,
  choice: 'NO_REPLY_OWED' | 'CLOSE' | 'NOT_BEFORE',
  day: string | null = null,
): Promise<Done | undefined> =>
  decideThreads([line.threadId ?? ''], {
    choice,
    reason: choice === 'CLOSE' ? 'NOT_NEEDED' : null,
    day,
  })

/** Brings a message back to Intake now. */
export const backToIntake = (line: RoundLine): Promise<Done | undefined> =>
  run((header) =>
    client.POST('/api/messages/{id}/back-to-intake', {
      params: { path: { id: line.id }, header },
    }),
  )

/** Takes a category out of use. */
export const retire = (line: RoundLine): Promise<Done | undefined> =>
  run((header) =>
    client.POST('/api/categories/{id}/retired', {
      params: {
        path: { id: line.categoryId ?? line.id },
        query: { version: line.version, retired: true },
        header,
      },
    }),
  )

/** Begins a walk, without a word about it. */
export const begin = () =>
  quietly(client.POST('/api/round', { params: { header: commandHeader() } }))

/** Where the walk is. */
export const goTo = (step: RoundStep) =>
  quietly(client.PUT('/api/round/step', { params: { header: commandHeader() }, body: { step } }))

async function quietly(call: Promise<{ data?: Done; error?: unknown; response: Response }>) {
  try {
    reload((await unwrap(call)).topics)
  } catch (problem) {
    showProblem(problem)
  }
}
