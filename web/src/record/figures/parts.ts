import type { CategoryView, FiguresView } from '@/api/client'
import type { ChartBars } from '@/record/figures/bars'
import {
  ageWords,
  effortWords,
  flowWords,
  othersWords,
  punctualityWords,
  responseWords,
  span,
  weekDays,
  weekText,
} from '@/record/figures/words'
import { proofOf } from '@/record/proof/query'
import { effortText } from '@/ui/effort'
import type { RouteLocationRaw } from 'vue-router'

/** A figure as it is shown. */
export interface Part {
  readonly title: string
  readonly words: string
  readonly test: string
  readonly chart: ChartBars
  readonly heading: readonly string[]
  readonly rows: readonly {
    readonly key: string
    readonly cells: readonly string[]
    readonly to?: RouteLocationRaw
  }[]
}

type Spread = FiguresView['responses']['all']

const whole = (value: number) => (Number.isInteger(value) ? String(value) : '')
const spreadCells = (name: string, spread: Spread) => [
  name,
  String(spread.count),
  spread.count === 0 ? '' : span(spread.medianMinutes),
  spread.count === 0 ? '' : span(spread.p90Minutes),
]
const spreadSeries = (spreads: readonly Spread[]) =>
  [
    { name: 'half within', values: spreads.map((each) => each.medianMinutes), tone: 'kelp' },
    {
      name: 'nine of ten within',
      values: spreads.map((each) => each.p90Minutes),
      tone: 'kelp',
      hollow: true,
    },
  ] as const

/** Response times, by what is asked for. */
export function responsePart(
  view: FiguresView,
  by: 'WEEK' | 'PERSON' | 'CATEGORY',
  categories: readonly CategoryView[],
): Part {
  const days = { from: view.from, to: view.to }
  const rows =
    by === 'WEEK'
      ? view.responses.byWeek.map((each) => ({
          key: each.week,
          name: weekText(each.week),
          spread: each.spread,
          to: proofOf(weekDays(each.week)),
        }))
      : by === 'PERSON'
        ? view.responses.byPerson.map((each) => ({
            key: each.person.address,
            name: each.person.name || each.person.address,
            spread: each.spread,
            to: proofOf({ person: each.person.address, ...days }),
          }))
        : view.responses.byCategory.map((each) => ({
            key: each.categoryId ?? '',
            name: nameOf(each.categoryId, categories),
            spread: each.spread,
            ...(each.categoryId ? { to: proofOf({ category: each.categoryId, ...days }) } : {}),
          }))
  return {
    title: 'How long you take to answer',
    words: responseWords(view),
    test: 'figure-responses',
    heading: [
      by === 'WEEK' ? 'Asked in the week of' : by === 'PERSON' ? 'From' : 'Category',
      'Answered',
      'Half within',
      'Nine of ten within',
    ],
    chart: {
      labels: rows.map((row) => row.name),
      series: spreadSeries(rows.map((row) => row.spread)),
      lying: by !== 'WEEK',
      inMinutes: true,
      text: (minutes) => (minutes === 0 ? '0' : span(minutes)),
    },
    rows: rows.map((row) => ({
      key: row.key,
      cells: spreadCells(row.name, row.spread),
      ...('to' in row && row.to ? { to: row.to } : {}),
    })),
  }
}

function nameOf(id: string | null, categories: readonly CategoryView[]): string {
  return id === null
    ? 'Without a category'
    : (categories.find((each) => each.id === id)?.name ?? 'A category of before')
}

export function punctualityPart(view: FiguresView): Part {
  const weeks = view.punctuality.byWeek
  return {
    title: 'In time',
    words: punctualityWords(view),
    test: 'figure-punctuality',
    heading: ['Done in the week of', 'In time', 'Late'],
    chart: {
      labels: weeks.map((each) => weekText(each.week)),
      series: [
        { name: 'in time', values: weeks.map((each) => each.onTime), tone: 'kelp' },
        { name: 'late', values: weeks.map((each) => each.late), tone: 'brass', hollow: true },
      ],
      stacked: true,
      text: whole,
    },
    rows: weeks.map((each) => ({
      key: each.week,
      cells: [weekText(each.week), String(each.onTime), String(each.late)],
      to: {
        name: 'record',
        params: { part: '' },
        query: { ...weekDays(each.week), state: 'DONE' },
      },
    })),
  }
}

export function flowPart(view: FiguresView): Part {
  return {
    title: 'What comes and goes',
    words: flowWords(view),
    test: 'figure-flow',
    heading: ['Week of', 'Came in', 'Decided', 'Ended'],
    chart: {
      labels: view.flow.map((each) => weekText(each.week)),
      series: [
        {
          name: 'came in',
          values: view.flow.map((each) => each.cameIn),
          tone: 'dusk',
          hollow: true,
        },
        { name: 'decided', values: view.flow.map((each) => each.decided), tone: 'dusk' },
        { name: 'follow-ups ended', values: view.flow.map((each) => each.ended), tone: 'kelp' },
      ],
      text: whole,
    },
    rows: view.flow.map((each) => ({
      key: each.week,
      cells: [weekText(each.week), String(each.cameIn), String(each.decided), String(each.ended)],
      to: { name: 'find', query: { kind: 'MESSAGE', ...weekDays(each.week) } },
    })),
  }
}

const AGES: Readonly<Record<FiguresView['ages'][number]['age'], string>> = {
  UP_TO_TWO_DAYS: 'up to 2 days',
  UP_TO_A_WEEK: 'up to a week',
  UP_TO_TWO_WEEKS: 'up to two weeks',
  UP_TO_FOUR_WEEKS: 'up to four weeks',
  OLDER: 'older',
}

export function agePart(view: FiguresView): Part {
  return {
    title: 'Open threads by age, now',
    words: ageWords(view),
    test: 'figure-ages',
    heading: ['For', 'With you', 'With others'],
    chart: {
      labels: view.ages.map((each) => AGES[each.age]),
      series: [
        { name: 'with you', values: view.ages.map((each) => each.withMe), tone: 'kelp' },
        {
          name: 'with others',
          values: view.ages.map((each) => each.withOthers),
          tone: 'dusk',
          hollow: true,
        },
      ],
      lying: true,
      text: whole,
    },
    rows: view.ages.map((each) => ({
      key: each.age,
      cells: [AGES[each.age], String(each.withMe), String(each.withOthers)],
      to: {
        name: 'threads',
        params: { id: '' },
        query: { by: 'AGE', turn: each.withMe > 0 ? 'WITH_ME' : 'WITH_OTHERS' },
      },
    })),
  }
}

export function othersPart(view: FiguresView): Part {
  return {
    title: 'How long others take, and what waits for them',
    words: othersWords(view),
    test: 'figure-others',
    heading: ['Who', 'Waits now', 'Answered', 'Half within', 'Nine of ten within'],
    chart: {
      labels: view.others.map((each) => each.address),
      series: spreadSeries(view.others.map((each) => each.spread)),
      lying: true,
      inMinutes: true,
      text: (minutes) => (minutes === 0 ? '0' : span(minutes)),
    },
    rows: view.others.map((each) => {
      const [name = '', ...rest] = spreadCells(each.address, each.spread)
      return {
        key: each.address,
        cells: [name, String(each.waiting), ...rest],
        to: { name: 'people', params: { id: each.address } },
      }
    }),
  }
}

export function effortPart(view: FiguresView, categories: readonly CategoryView[]): Part {
  return {
    title: 'How far estimates are off',
    words: effortWords(view),
    test: 'figure-efforts',
    heading: ['Category', 'Measured', 'Thought', 'Spent'],
    chart: {
      labels: view.efforts.map((each) => nameOf(each.categoryId, categories)),
      series: [
        {
          name: 'thought',
          values: view.efforts.map((each) => each.thought),
          tone: 'brass',
          hollow: true,
        },
        { name: 'spent', values: view.efforts.map((each) => each.spent), tone: 'brass' },
      ],
      lying: true,
      text: (value) => (Number.isInteger(value) ? effortText(value) : ''),
    },
    rows: view.efforts.map((each) => ({
      key: each.categoryId ?? '',
      cells: [
        nameOf(each.categoryId, categories),
        String(each.measured),
        effortText(each.thought),
        effortText(each.spent),
      ],
      to: {
        name: 'record',
        params: { part: 'time' },
        query: {
          by: 'FOLLOW_UP',
          from: view.from,
          to: view.to,
          ...(each.categoryId ? { category: each.categoryId } : {}),
        },
      },
    })),
  }
}
