import type { RoundLine, RoundStep } from '@/api/client'
import { day, moment } from '@/ui/time'

/** What each step is about. */
export const STEPS: Readonly<Record<RoundStep, { name: string; about: string; none: string }>> = {
  INTAKE: {
    name: 'Intake',
    about: 'What has come in and waits for a decision.',
    none: 'Intake is empty.',
  },
  UNDATED: {
    name: 'Without a date',
    about: 'Follow-ups that nothing will bring back to mind: give each a day, or let it go.',
    none: 'Every follow-up has a day.',
  },
  WITH_ME: {
    name: 'With me, no follow-up',
    about: 'Threads in which somebody waits for you, and of which you made nothing.',
    none: 'Whoever waits for you has a follow-up.',
  },
  PROMISED: {
    name: 'Promised',
    about: 'What you said you would do, and wrote down nowhere else.',
    none: 'Every promise has a follow-up.',
  },
  UNCHASED: {
    name: 'Nobody reminded',
    about: 'Somebody owes you something, and nothing will remind them.',
    none: 'Whoever owes you something will be reminded.',
  },
  LATE: {
    name: 'Late',
    about: 'The date is over: do it, say another day, or let it go.',
    none: 'Nothing is late.',
  },
  PUT_OFF: {
    name: 'Put off for long',
    about: 'Out of sight for more than two weeks: is that still right?',
    none: 'Nothing is out of sight for long.',
  },
  LAST_WEEK: {
    name: 'Last week’s meetings',
    about: 'Did anything come of it that is to be followed up?',
    none: 'Nothing is left of the last week’s meetings.',
  },
  NEXT_WEEKS: {
    name: 'Next meetings',
    about: 'Is there anything to prepare for the next two weeks?',
    none: 'The next meetings have been looked at.',
  },
  OWED: {
    name: 'People I owe',
    about: 'Everybody to whom you owe something: is anybody kept waiting too long?',
    none: 'You owe nobody anything.',
  },
  UNUSED: {
    name: 'Unused categories',
    about: 'Nothing has used these for twelve weeks.',
    none: 'Every category is in use.',
  },
  RECIPES: {
    name: 'Worth a recipe',
    about: 'You decided the same each time: a recipe could do it.',
    none: 'No decision repeats itself.',
  },
  HANDED: {
    name: 'Handed over',
    about: 'What others do for you: is it going on?',
    none: 'Nothing that was handed over is open.',
  },
  AHEAD: {
    name: 'The week ahead',
    about: 'The round is done when you have seen it.',
    none: '',
  },
}

/** Where the whole of something is to be seen. */
export function addressOfLine(line: RoundLine): string {
  switch (line.kind) {
    case 'MESSAGE':
      return `/intake/${line.id}`
    case 'FOLLOW_UP':
      return `/follow-ups/${line.id}`
    case 'THREAD':
    case 'PROMISE':
      return `/threads/${line.id}${line.messageId ? `?message=${line.messageId}` : ''}`
    case 'HAND_OVER':
      return line.threadId ? `/threads/${line.threadId}` : '/threads'
    case 'MEETING':
      return `/ahead/${line.day ?? ''}`
    case 'PERSON':
      return `/people/${encodeURIComponent(line.id)}`
    case 'CATEGORY':
      return '/settings/categories'
    case 'HABIT_LET_GO':
    case 'HABIT_FOLLOW_UP':
      return `/settings/recipes?${new URLSearchParams({
        [line.who === 'list' ? 'list' : 'sender']: line.id,
        step: line.kind === 'HABIT_LET_GO' ? 'NOTHING' : 'FOLLOW_UP',
        ...(line.categoryId ? { category: line.categoryId } : {}),
      }).toString()}`
  }
}

/** What else is known of a line. */
export function aboutLine(line: RoundLine, step: RoundStep): string {
  switch (line.kind) {
    case 'MESSAGE':
      return [
        line.who,
        line.at ? moment(line.at) : '',
        line.day ? `${step === 'PUT_OFF' ? 'back on' : 'by'} ${day(line.day)}` : '',
        line.what && line.what !== line.name ? `“${line.what}”` : '',
      ]
        .filter(Boolean)
        .join(' · ')
    case 'FOLLOW_UP':
      return [
        line.who,
        line.day === null
          ? ''
          : step === 'LATE'
            ? `was due ${day(line.day)}`
            : step === 'PUT_OFF'
              ? `back on ${day(line.day)}`
              : day(line.day),
      ]
        .filter(Boolean)
        .join(' · ')
    case 'THREAD':
    case 'PROMISE':
      return [
        line.who,
        line.at ? moment(line.at) : '',
        line.day ? `by ${day(line.day)}` : '',
        line.what ? `“${line.what}”` : '',
      ]
        .filter(Boolean)
        .join(' · ')
    case 'HAND_OVER':
      return [line.who, line.at ? `since ${moment(line.at)}` : '', line.what]
        .filter(Boolean)
        .join(' · ')
    case 'MEETING':
      return [line.at ? moment(line.at) : '', line.who].filter(Boolean).join(' · ')
    case 'PERSON':
      return line.count === 1 ? 'in one thread' : `in ${line.count} threads`
    case 'CATEGORY':
      return ''
    case 'HABIT_LET_GO':
      return `${line.count} times let go`
    case 'HABIT_FOLLOW_UP':
      return `${line.count} times made into a follow-up`
  }
}
