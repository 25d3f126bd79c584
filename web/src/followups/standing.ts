import type { FollowUpLine } from '@/api/client'

/** Colour of a reply-by date: rust only where a firm date is late. */
export const STANDING_CLASS: Record<FollowUpLine['standing'], string> = {
  UNDATED: 'text-ink-soft',
  AHEAD: '',
  SOON: 'text-brass-ink font-semibold',
  LATE_FLEXIBLE: 'text-brass-ink font-semibold',
  LATE_FIRM: 'text-rust font-semibold',
}

/** What is said beside the date, so that colour is never the only sign. */
export function isLate(line: FollowUpLine): boolean {
  return line.standing === 'LATE_FIRM' || line.standing === 'LATE_FLEXIBLE'
}

/** A follow-up in the list. */
export interface FollowUpListRow {
  readonly key: string
  readonly height: number
  readonly line: FollowUpLine
}
