import type { IntakeView } from '@/api/client'

const clock = (moment: string) => moment.slice(11, 16)

/** What is held back, and until when. */
export function heldBack(held: IntakeView['heldBack']): string {
  if (!held || held.count === 0) {
    return ''
  }
  const come = held.count === 1 ? '1 more has come' : `${held.count} more have come`
  return held.next === null
    ? `${come} while you work`
    : `${come} since ${clock(held.since)}, counted from ${clock(held.next)}`
}
