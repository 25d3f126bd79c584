import type { ListForm, ThreadLine, Turn } from '@/api/client'
import { awaitedText, byText, debtText, TURNS } from '@/threads/words'
import { moment, workingSpan } from '@/ui/time'

/** No cell of a list that goes out is longer. */
const LONGEST = 2000

/** Threads as they are seen, for other people and programs. */
export function tableOf(lines: readonly ThreadLine[], turn: Turn): ListForm {
  return {
    title: `Threads: ${TURNS.find((each) => each.turn === turn)?.title ?? ''}`,
    words: '',
    heading: ['Thread', 'People', 'Open', 'Since', 'Silent'],
    groups: [
      {
        title: '',
        rows: lines.map((line) => [
          line.subject || (line.room ?? ''),
          line.people.join(', '),
          [
            ...line.debts.map((debt) =>
              [`I owe ${debt.to}:`, debt.byDay ? byText(debt) : '', debtText(debt)]
                .filter(Boolean)
                .join(' '),
            ),
            ...line.awaited.map((one) => `${one.name} owes: ${awaitedText(one)}`),
          ]
            .join('; ')
            .slice(0, LONGEST),
          line.since ? moment(line.since) : '',
          workingSpan(line.silenceWorkingMinutes),
        ]),
      },
    ],
  }
}
