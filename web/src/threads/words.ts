import type { AwaitedView, CloseReason, DebtView, ThreadLine, Turn } from '@/api/client'
import { replyBy } from '@/ui/time'

export const TURNS: { turn: Turn; title: string; empty: string }[] = [
  { turn: 'WITH_ME', title: 'With me', empty: 'Nobody waits for you.' },
  { turn: 'WITH_OTHERS', title: 'With others', empty: 'You wait for nobody.' },
  { turn: 'CLOSED', title: 'Closed', empty: 'No thread was closed yet.' },
  { turn: 'NOBODY', title: 'Nobody’s turn', empty: 'No thread is without a turn.' },
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
