import type { ThreadLine, ThreadMessage } from '@/api/client'

/** A message as threads show it. */
export function messageOf(id: string, more: Partial<ThreadMessage> = {}): ThreadMessage {
  return {
    id,
    direction: 'INCOMING',
    nature: 'PERSON',
    from: { name: `Writer ${id}`, address: `${id}@x.example` },
    sentAt: '2026-03-02T09:00:00Z',
    ownWords: `Words of ${id}`,
    hasMore: false,
    files: [],
    reactions: [],
    canReact: false,
    edited: false,
    removed: false,
    answersId: null,
    ...more,
  }
}

/** A thread as lists show it, in which nobody owes anything. */
export function threadOf(id: string, more: Partial<ThreadLine> = {}): ThreadLine {
  return {
    id,
    channel: 'MAIL',
    subject: `Thread ${id}`,
    room: null,
    people: ['Bo', 'Tilda'],
    turn: 'WITH_OTHERS',
    since: '2026-02-25T10:00:00Z',
    silenceWorkingMinutes: 2400,
    debts: [],
    awaited: [],
    openedAgain: false,
    closedAs: null,
    messageCount: 1,
    trace: [],
    followUps: 0,
    categoryId: null,
    group: null,
    attention: 'MINE',
    closingWord: null,
    version: 0,
    ...more,
  }
}
