import type { CandidateView, MoveView, TodayData } from '@/api/client'
import { comeText } from '@/followups/waiting'
import { effortText } from '@/ui/effort'
import { day, replyBy, today } from '@/ui/time'

/** Why something comes up, in one clause. */
export function reason(candidate: CandidateView): string {
  const { line, why } = candidate
  const on = candidate.day ? day(candidate.day) : ''
  switch (why) {
    case 'LATE_FIRM':
      return `firm, and late since ${on}`
    case 'LATE':
      return `late since ${on}`
    case 'DUE_TODAY_FIRM':
      return line.replyTime ? `firm and due at ${line.replyTime.slice(0, 5)}` : 'firm and due today'
    case 'DUE_TODAY':
      return line.replyTime ? `due at ${line.replyTime.slice(0, 5)}` : 'due today'
    case 'PROMISED':
      return `promised${candidate.who ? ` to ${candidate.who}` : ''} for ${candidate.day === today() ? 'today' : on}`
    case 'CHASE_DUE':
      return `${candidate.who || 'somebody'} is to be reminded`
    case 'HAS_COME':
      return line.waiting?.come
        ? line.waiting.come.messageId
          ? `${line.waiting.come.from} has written: “${line.waiting.come.words}”`
          : comeText(line.waiting)
        : 'what it waited for has come'
    case 'LEFT_OVER':
      return `planned for ${on} and not done`
    case 'PUT_OFF_UNTIL_TODAY':
      return 'put off until today'
    case 'PREPARES_MEETING':
      return `for “${candidate.meeting ?? 'a meeting'}” on ${on}`
    case 'DUE_NEXT_WORKING_DAY':
    case 'DUE_LATER':
      return `due ${replyBy(candidate.day ?? '', line.replyTime)}${line.firm ? ', firm' : ''}`
    case 'UNDATED':
      return 'without a date'
  }
}

/** How the day stands, in one sentence. */
export function standing(today: TodayData): string {
  if (today.off !== '') {
    return `No work is planned for today: ${today.off}.`
  }
  const until = today.to ? ` until ${today.to.slice(0, 5)}` : ''
  const planned =
    today.plannedMinutes > 0 ? `${effortText(today.plannedMinutes)} planned` : 'nothing planned yet'
  return `${effortText(today.roomMinutes)} free${until}, ${planned}`
}

/** What a proposal would move. */
export function moved(moves: readonly MoveView[]): string {
  const [first] = moves
  if (!first) {
    return ''
  }
  return moves.length === 1
    ? `moves “${first.title}” to ${day(first.to)}, nothing else`
    : `moves ${moves.length}, none past its reply-by date`
}
