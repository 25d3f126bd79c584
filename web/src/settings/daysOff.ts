import { shiftDay } from '@/ui/time'

/** Days off without a break between them. */
export interface Span {
  readonly from: string
  readonly to: string
}

/** A span that is longer is a mistake. */
const MOST_DAYS = 120

/** Days in their order as spans. */
export function spansOf(days: readonly string[]): Span[] {
  const spans: Span[] = []
  for (const day of [...days].sort()) {
    const last = spans.at(-1)
    if (last && shiftDay(last.to, 1) === day) {
      spans.splice(-1, 1, { from: last.from, to: day })
    } else {
      spans.push({ from: day, to: day })
    }
  }
  return spans
}

/** Every day of a span, its ends included and in whichever order they were named. */
export function daysOf(one: string, other: string): string[] {
  const [from, to] = one <= other ? [one, other] : [other, one]
  const days: string[] = []
  for (let day = from; day <= to && days.length < MOST_DAYS; day = shiftDay(day, 1)) {
    days.push(day)
  }
  return days
}

/** The days with those of a span. */
export function withSpan(days: readonly string[], one: string, other: string): string[] {
  return [...new Set([...days, ...daysOf(one, other)])].sort()
}

/** The days without those of a span. */
export function withoutSpan(days: readonly string[], span: Span): string[] {
  return days.filter((day) => day < span.from || day > span.to)
}
