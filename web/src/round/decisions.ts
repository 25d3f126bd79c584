import type { Done, RoundLine, RoundStep } from '@/api/client'
import { openCapture } from '@/capture/open'
import {
  backToIntake,
  decideFollowUp,
  decideMessage,
  decideThread,
  followUp,
  retire,
  stays,
} from '@/round/decide'
import type view from '@/round/view'

/** Something that can be decided, with its key. */
export interface Decision {
  key: keyof typeof view.keys
  test: string
  text: string
  /** Answers the decision where it makes one at once. */
  run: (line: RoundLine) => Promise<Done | undefined> | undefined
}

/**
 * What can be decided about a line, by what it is and where.
 *
 * @param choose asks for a day
 */
export function decisions(line: RoundLine, of: RoundStep, choose: () => void): Decision[] {
  const stay: Decision = { key: 'stays', test: 'round-stays', text: 'Leave it', run: stays }
  const day: Decision = {
    key: 'day',
    test: 'round-day',
    text: of === 'INTAKE' ? 'Put off' : of === 'UNCHASED' ? 'Remind on' : 'By a day',
    run: () => {
      choose()
      return undefined
    },
  }
  switch (line.kind) {
    case 'MESSAGE':
      return of === 'PUT_OFF'
        ? [{ key: 'back', test: 'round-back', text: 'Bring it back now', run: backToIntake }, stay]
        : [
            {
              key: 'followUp',
              test: 'round-follow-up',
              text: 'Follow-up',
              run: (each) => decideMessage(each, 'FOLLOW_UP'),
            },
            day,
            {
              key: 'drop',
              test: 'round-drop',
              text: 'Nothing to do',
              run: (each) => decideMessage(each, 'NOTHING'),
            },
            stay,
          ]
    case 'FOLLOW_UP':
      return [
        day,
        {
          key: 'done',
          test: 'round-done',
          text: 'Done',
          run: (each) => decideFollowUp(each, 'DONE'),
        },
        {
          key: 'drop',
          test: 'round-drop',
          text: 'Drop it',
          run: (each) => decideFollowUp(each, 'DROP'),
        },
        stay,
      ]
    case 'THREAD':
      return of === 'UNCHASED'
        ? [
            day,
            {
              key: 'close',
              test: 'round-close',
              text: 'Close',
              run: (each) => decideThread(each, 'CLOSE'),
            },
            stay,
          ]
        : [
            { key: 'followUp', test: 'round-follow-up', text: 'Follow-up', run: followUp },
            {
              key: 'noReply',
              test: 'round-no-reply',
              text: 'No reply owed',
              run: (each) => decideThread(each, 'NO_REPLY_OWED'),
            },
            {
              key: 'close',
              test: 'round-close',
              text: 'Close',
              run: (each) => decideThread(each, 'CLOSE'),
            },
            stay,
          ]
    case 'PROMISE':
      return [
        { key: 'followUp', test: 'round-follow-up', text: 'Follow-up', run: followUp },
        {
          key: 'close',
          test: 'round-close',
          text: 'Kept, close it',
          run: (each) => decideThread(each, 'CLOSE'),
        },
        stay,
      ]
    case 'MEETING':
      return [
        {
          key: 'followUp',
          test: 'round-follow-up',
          text: 'Follow-up',
          run: (each) => {
            openCapture({ title: `${each.title}: `, url: '', text: '' })
            return undefined
          },
        },
        { ...stay, text: 'Nothing' },
      ]
    case 'CATEGORY':
      return [
        { key: 'retire', test: 'round-retire', text: 'Retire it', run: retire },
        { ...stay, text: 'Keep it' },
      ]
    case 'HABIT_LET_GO':
    case 'HABIT_FOLLOW_UP':
      return [{ ...stay, text: 'No recipe' }]
    case 'PERSON':
    case 'HAND_OVER':
      return [stay]
  }
}
