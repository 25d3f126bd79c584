import { describe, expect, it } from 'vitest'
import type { FiguresView } from '@/api/client'
import {
  ageWords,
  effortWords,
  flowWords,
  habitWords,
  othersWords,
  punctualityWords,
  responseWords,
  span,
} from '@/record/figures/words'

const NONE = { count: 0, medianMinutes: 0, p90Minutes: 0 }
const VIEW: FiguresView = {
  from: '2026-03-02',
  to: '2026-03-15',
  minutesOfADay: 480,
  responses: {
    all: { count: 12, medianMinutes: 130, p90Minutes: 1000 },
    unanswered: 1,
    byPerson: [],
    byCategory: [],
    byWeek: [],
  },
  punctuality: { onTime: 9, late: 3, undated: 2, byWeek: [] },
  flow: [
    { week: '2026-03-02', cameIn: 10, decided: 12, ended: 1 },
    { week: '2026-03-09', cameIn: 10, decided: 8, ended: 0 },
  ],
  ages: [
    { age: 'UP_TO_TWO_DAYS', withMe: 2, withOthers: 1 },
    { age: 'UP_TO_A_WEEK', withMe: 0, withOthers: 0 },
    { age: 'UP_TO_TWO_WEEKS', withMe: 1, withOthers: 2 },
    { age: 'UP_TO_FOUR_WEEKS', withMe: 0, withOthers: 0 },
    { age: 'OLDER', withMe: 0, withOthers: 1 },
  ],
  others: [
    {
      address: 'a@x.example',
      spread: { count: 4, medianMinutes: 960, p90Minutes: 960 },
      waiting: 2,
    },
    { address: 'b@x.example', spread: NONE, waiting: 1 },
  ],
  efforts: [{ categoryId: 'c', measured: 5, thought: 20, spent: 40, proposed: 40 }],
  habits: [
    {
      party: 'news@x.example',
      name: 'News',
      list: false,
      decision: 'NOTHING',
      categoryId: null,
      decisions: 7,
    },
  ],
}

describe('A figure says in one sentence what it means', () => {
  it.each([
    [
      responseWords(VIEW),
      'You answered half of 12 questions within 2 h 10, nine of ten within 2 d 1 h. 1 more was not answered in writing.',
    ],
    [punctualityWords(VIEW), '9 of 12 with a date were in time (75 %). 2 more had no date.'],
    [
      flowWords(VIEW),
      '20 came in, 20 were decided and 1 follow-up ended; in 1 of 2 weeks more came in than was decided.',
    ],
    [ageWords(VIEW), 'Of 3 threads with you 1 is older than a week, of 4 with others 3.'],
    [
      othersWords(VIEW),
      '2 of these owe you something. a@x.example takes longest: half of 4 answers came within 2 d.',
    ],
    [
      effortWords(VIEW),
      'Of 5 follow-ups that were measured, those of 1 of 1 category took longer than was thought.',
    ],
    [habitWords(VIEW), '1 recipe would have saved you 7 decisions.'],
  ])('%s', (said, meant) => {
    expect(said).toBe(meant)
  })

  it('also where there is nothing', () => {
    const empty = {
      ...VIEW,
      responses: { ...VIEW.responses, all: NONE, unanswered: 0 },
      punctuality: { onTime: 0, late: 0, undated: 0, byWeek: [] },
      flow: [],
      ages: [],
      others: [],
      efforts: [],
      habits: [],
    }
    expect(responseWords(empty)).toBe('Nobody asked you anything in these days.')
    expect(punctualityWords(empty)).toBe('Nothing with a date was done in these days.')
    expect(flowWords(empty)).toBe('Nothing came in.')
    expect(ageWords(empty)).toBe('No thread is open.')
    expect(othersWords(empty)).toBe('Nobody owes you anything.')
    expect(habitWords(empty)).toBe('No decision repeats itself so that a recipe would save it.')
  })
})

describe('A length', () => {
  it.each([
    [0, 'at once'],
    [59, '59 min'],
    [60, '1 h'],
    [90, '1 h 30'],
    [480, '1 d'],
    [481, '1 d 1 h'],
    [959, '2 d'],
    [2400, '5 d'],
  ])('of %d working minutes is never said shorter than it is: %s', (minutes, text) => {
    expect(span(minutes)).toBe(text)
  })
})
