import type { EndedLine, ListForm } from '@/api/client'
import { effortText } from '@/ui/effort'
import { day, moment, workingSpan } from '@/ui/time'

/** Whether something was in time, in words; empty where it had no date. */
export function onTimeText(line: EndedLine): string {
  if (line.stamps.onTime === null || !line.replyDay) {
    return ''
  }
  return line.stamps.onTime
    ? `in time for ${day(line.replyDay)}`
    : `late: was due ${day(line.replyDay)}`
}

/** When it was asked, answered and ended, in one line. */
export function stampsText(line: EndedLine): string {
  const { askedAt, decidedAt, answeredAt, workingMinutes } = line.stamps
  return [
    askedAt ? `asked ${moment(askedAt)}` : `made ${moment(decidedAt)}`,
    answeredAt ? `answered ${moment(answeredAt)}` : '',
    `${workingSpan(workingMinutes)} of working time`,
    line.spentMinutes > 0 ? `${effortText(line.spentMinutes)} spent` : '',
    line.endedBy ? `by ${line.endedBy}` : '',
  ]
    .filter(Boolean)
    .join(' · ')
}

/** The record as it is seen, for other people and programs. */
export function tableOf(lines: readonly EndedLine[]): ListForm {
  return {
    title: 'Record',
    words: '',
    heading: [
      'What',
      'State',
      'Ended',
      'Asked',
      'Answered',
      'Working time',
      'In time',
      'Spent',
      'From',
      'By',
      'Note',
    ],
    groups: [
      {
        title: '',
        rows: lines.map((line) => [
          line.title,
          line.state === 'DONE' ? 'done' : 'dropped',
          moment(line.stamps.endedAt),
          line.stamps.askedAt ? moment(line.stamps.askedAt) : '',
          line.stamps.answeredAt ? moment(line.stamps.answeredAt) : '',
          workingSpan(line.stamps.workingMinutes),
          onTimeText(line),
          line.spentMinutes > 0 ? effortText(line.spentMinutes) : '',
          line.from,
          line.endedBy,
          line.note,
        ]),
      },
    ],
  }
}
