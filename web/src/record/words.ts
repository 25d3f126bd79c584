import type { EndedLine, ListForm } from '@/api/client'
import { CLOSED_AS } from '@/threads/words'
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

/** How it ended, where that is not simply done. */
export function endingText(line: EndedLine): string {
  const how =
    line.kind === 'THREAD'
      ? `thread closed${line.closedAs ? `: ${CLOSED_AS[line.closedAs]}` : ''}`
      : line.state === 'DROPPED'
        ? 'dropped'
        : ''
  return line.undoneAt ? `${how || 'done'}, undone ${moment(line.undoneAt)}` : how
}

/** When it was asked, answered and ended, in one line. */
export function stampsText(line: EndedLine): string {
  const { askedAt, decidedAt, answeredAt, endedAt, workingMinutes } = line.stamps
  return [
    line.undoneAt
      ? `ended ${moment(endedAt)}`
      : askedAt
        ? `asked ${moment(askedAt)}`
        : `${line.kind === 'THREAD' ? 'begun' : 'made'} ${moment(decidedAt)}`,
    answeredAt ? `answered ${moment(answeredAt)}` : '',
    line.undoneAt
      ? ''
      : line.kind === 'THREAD'
        ? `closed after ${workingSpan(workingMinutes)} of working time`
        : `${workingSpan(workingMinutes)} of working time`,
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
          endingText(line) || 'done',
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
