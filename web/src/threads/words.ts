import type {
  AwaitedView,
  CloseReason,
  DebtView,
  ThreadGrouping,
  ThreadLine,
  ThreadMessage,
  Turn,
} from '@/api/client'
import { day, replyBy, workingSpanInWords } from '@/ui/time'

export const TURNS: { turn: Turn; title: string; empty: string }[] = [
  { turn: 'WITH_ME', title: 'With me', empty: 'Nobody waits for you.' },
  { turn: 'WITH_OTHERS', title: 'With others', empty: 'You wait for nobody.' },
  { turn: 'CLOSED', title: 'Closed', empty: 'No thread was closed yet.' },
  { turn: 'NOBODY', title: 'Nobody’s turn', empty: 'No thread is without a turn.' },
]

/** What rows can stand together by. */
export const GROUPINGS: { by: ThreadGrouping; title: string }[] = [
  { by: 'THREAD', title: 'thread' },
  { by: 'PERSON', title: 'person' },
  { by: 'CATEGORY', title: 'category' },
  { by: 'AGE', title: 'age' },
]

export const CLOSED_AS: Record<CloseReason, string> = {
  ANSWERED: 'answered',
  DONE_ELSEWHERE: 'done elsewhere',
  NOT_NEEDED: 'not needed',
  GIVEN_UP: 'given up',
}

const OWED: Record<DebtView['reason'], string> = {
  ASKED: '',
  INVITED: 'say whether you come',
  PROMISED: 'you promised',
  BOUNCED: 'it was not delivered; find another way',
}

/** What I owe, in words: the ask or the promise, else what has to be done. */
export function debtText(debt: DebtView): string {
  const what = debt.what ? `“${debt.what}”` : ''
  return [OWED[debt.reason], what].filter(Boolean).join(': ')
}

/** By when, in words, and whether that is over; empty when nothing was said. */
export function byText(one: Pick<DebtView, 'byDay' | 'byTime' | 'late'>): string {
  return one.byDay ? `${one.late ? 'late:' : 'by'} ${replyBy(one.byDay, one.byTime)}` : ''
}

/** What somebody owes me, in words. */
export function awaitedText(one: AwaitedView): string {
  const what = one.what ? `“${one.what}”` : ''
  const promised = one.promised ? 'promised' : ''
  const by = one.byDay ? `by ${replyBy(one.byDay, one.byTime)}` : ''
  return [one.late ? 'late:' : '', promised, by, what].filter(Boolean).join(' ')
}

const FOR: Record<NonNullable<AwaitedView['ruleBy']>, string> = {
  PARTY: 'by the days chosen for them',
  CATEGORY: 'by the days chosen for its category',
}

const WHY: Record<AwaitedView['why'], string> = {
  SILENT: 'silent since you wrote',
  REMINDED: 'silent since they were chased',
  PROMISED: 'the day that was promised is over then',
  ASKED_BY: 'the day that you named is over then',
  USUAL: 'takes longer as a rule',
  AWAY: 'away before',
  BY_HAND: 'your choice',
}

/** When somebody is to be chased, in words, and whether that is now. */
export function chaseText(
  one: Pick<AwaitedView, 'chaseOn' | 'why'> & Partial<Pick<AwaitedView, 'ruleBy'>>,
  today: string,
): { text: string; due: boolean; why: string } {
  const due = one.chaseOn <= today
  return {
    text: due ? 'chase now' : day(one.chaseOn),
    due,
    why: [WHY[one.why], one.ruleBy ? FOR[one.ruleBy] : ''].filter(Boolean).join(', '),
  }
}

const TIMES = ['', 'once', 'twice']

/** The first of those awaited who is to be chased says when; undefined where nobody is awaited. */
export function firstChase(line: ThreadLine, today: string) {
  const [first] = [...line.awaited].sort((a, b) => a.chaseOn.localeCompare(b.chaseOn))
  return first && { ...chaseText(first, today), who: first.name }
}

/** What else is known of somebody awaited: chased how often, away until when, how long they usually take. */
export function besides(one: AwaitedView): string[] {
  const chased = TIMES[one.chases] ?? `${String(one.chases)} times`
  return [
    one.chases > 0 ? `chased ${chased}` : '',
    one.returnsOn ? `away until ${day(one.returnsOn)}` : '',
    one.answeredBy ? `${one.answeredBy} has answered instead` : '',
    one.laterThanUsual && one.usualMinutes !== null
      ? `later than usual (${usually(one.usualMinutes)})`
      : '',
  ].filter(Boolean)
}

/** How long somebody usually takes, in words. */
export function usually(minutes: number): string {
  return minutes < 1 ? 'usually at once' : `usually after ${workingSpanInWords(minutes)}`
}

/** Whose turn it is, in words. */
export function turnText(line: ThreadLine): string {
  switch (line.turn) {
    case 'WITH_ME':
      return 'With me'
    case 'WITH_OTHERS':
      return `With ${line.awaited.map((one) => one.name).join(', ')}`
    case 'CLOSED':
      return line.closedAs ? `Closed as ${CLOSED_AS[line.closedAs]}` : 'Closed'
    case 'NOBODY':
      return 'Nobody’s turn'
  }
}

/** How each message begins and who wrote it, by its id. */
export function beginnings(
  messages: readonly Pick<ThreadMessage, 'id' | 'direction' | 'from' | 'ownWords'>[],
): Map<string, string> {
  return new Map(
    messages.map((message) => {
      const who = message.direction === 'OUTGOING' ? 'I' : message.from.name || message.from.address
      const line = message.ownWords.split('\n').find((each) => each.trim() !== '') ?? ''
      return [message.id, `${who}: ${line.trim().slice(0, 120)}`]
    }),
  )
}
