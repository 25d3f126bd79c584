import type { FollowUpLine } from '@/api/client'
import type { RowGroup } from '@/ui/rows'

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

const SPANS: { due: FollowUpLine['due']; title: string }[] = [
  { due: 'LATE', title: 'Late' },
  { due: 'TODAY', title: 'Today' },
  { due: 'TOMORROW', title: 'Tomorrow' },
  { due: 'THIS_WEEK', title: 'This week' },
  { due: 'NEXT_WEEK', title: 'Next week' },
  { due: 'AFTER_THAT', title: 'After that' },
  { due: 'UNDATED', title: 'Without a date' },
]

/** A follow-up in the list. */
export interface FollowUpListRow {
  readonly key: string
  readonly height: number
  readonly line: FollowUpLine
}

/** What the list shows, span by span; spans without a follow-up are left out. */
export function bySpan(
  open: readonly FollowUpLine[],
  more: readonly { title: string; lines: readonly FollowUpLine[] }[],
  height: number,
): RowGroup<FollowUpListRow>[] {
  const spans = SPANS.map(({ due, title }) => ({
    title,
    lines: open.filter((line) => line.due === due && !line.back),
  }))
  const back = { title: 'Back on top', lines: open.filter((line) => line.back) }
  return [back, ...spans, ...more]
    .filter((group) => group.lines.length > 0)
    .map(({ title, lines }) => ({
      key: title,
      title,
      rows: lines.map((line) => ({ key: line.id, height, line })),
    }))
}
