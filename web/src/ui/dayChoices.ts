import type { QuickChoice } from '@/api/client'

/** A day on offer with the digit that marks it. */
export interface NumberedChoice extends QuickChoice {
  number: number
}

/** The days on offer from a day on; each keeps the number that it has among all, so that it is the same everywhere. */
export function numbered(choices: readonly QuickChoice[], from: string): NumberedChoice[] {
  return choices
    .slice(0, 9)
    .map((choice, i) => ({ ...choice, number: i + 1 }))
    .filter((choice) => choice.day >= from)
}

/** The number that a typed text is, when nothing else stands there and something is offered under it. */
export function choiceOf(text: string, offered: readonly NumberedChoice[]): number | undefined {
  const typed = /^\s*([1-9])\s*$/.exec(text)?.[1]
  return offered.find((choice) => choice.number === Number(typed))?.number
}

/** The number that an arrow key leads to. */
export function movedChoice(
  offered: readonly NumberedChoice[],
  marked: number | undefined,
  by: 1 | -1,
): number | undefined {
  const at = offered.findIndex((choice) => choice.number === marked)
  const next = at < 0 ? (by > 0 ? 0 : offered.length - 1) : at + by
  return offered[Math.min(Math.max(next, 0), offered.length - 1)]?.number
}
