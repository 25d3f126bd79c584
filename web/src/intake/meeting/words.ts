import type { InvitationView } from '@/api/client'
import { effortText } from '@/ui/effort'
import { day } from '@/ui/time'

const clock = (time: string) => time.slice(0, 5)

/** When a meeting is. */
export function when(meeting: InvitationView): string {
  const oneDay = meeting.day === meeting.lastDay
  if (meeting.allDay) {
    return oneDay
      ? `${day(meeting.day)}, all day`
      : `${day(meeting.day)} to ${day(meeting.lastDay)}`
  }
  return oneDay
    ? `${day(meeting.day)}, ${clock(meeting.from)}–${clock(meeting.to)}`
    : `${day(meeting.day)}, ${clock(meeting.from)} to ${day(meeting.lastDay)}, ${clock(meeting.to)}`
}

/** What it would cost of the day. */
export function cost(meeting: InvitationView): string {
  const { takesMinutes, freeMinutes } = meeting.around
  if (meeting.past) {
    return 'It has passed.'
  }
  if (takesMinutes === 0) {
    return 'Takes none of your working time.'
  }
  return `Takes ${effortText(takesMinutes)} of ${effortText(freeMinutes)} free that day.`
}

const SAYS: Record<InvitationView['attendees'][number]['participation'], string> = {
  ACCEPTED: 'comes',
  TENTATIVE: 'perhaps',
  DECLINED: 'does not come',
  DELEGATED: 'sends somebody else',
  NEEDS_ACTION: 'has not answered',
}

/** Who comes and who has not answered, the others by name. */
export function people(meeting: InvitationView): string {
  return meeting.attendees
    .filter((each) => !each.me)
    .map((each) => `${each.name || each.address} ${SAYS[each.participation]}`)
    .join(' · ')
}

/** What I have said myself. */
export const MY_ANSWER: Record<NonNullable<InvitationView['answer']>, string> = {
  ACCEPTED: 'You have accepted.',
  TENTATIVE: 'You have said perhaps.',
  DECLINED: 'You have declined.',
  DELEGATED: '',
  NEEDS_ACTION: 'It was changed since you answered.',
}

/** What kind of message it is. */
export function kind(meeting: InvitationView): string {
  const who = meeting.organizer.name || meeting.organizer.address || 'somebody'
  switch (meeting.method) {
    case 'REQUEST':
      return meeting.mine ? 'Your invitation' : `${who} invites you`
    case 'CANCEL':
      return `${who} calls this off`
    case 'COUNTER':
      return 'Another time is proposed'
    case 'DECLINECOUNTER':
      return `${who} keeps to the time`
    case 'REPLY':
      return 'An answer to your invitation'
  }
}
