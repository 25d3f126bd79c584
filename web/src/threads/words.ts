import type { CloseReason, ThreadLine, Turn } from '@/api/client'

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

/** Whose turn it is, in words. */
export function turnText(line: ThreadLine): string {
  switch (line.turn) {
    case 'WITH_ME':
      return 'With me'
    case 'WITH_OTHERS':
      return `With ${line.awaited.map((party) => party.name || party.address).join(', ')}`
    case 'CLOSED':
      return line.closedAs ? `Closed as ${CLOSED_AS[line.closedAs]}` : 'Closed'
    case 'NOBODY':
      return 'Nobody’s turn'
  }
}
