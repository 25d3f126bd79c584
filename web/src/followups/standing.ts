import type { CategoryView, FollowUpLine } from '@/api/client'

/** Colour of a reply-by date: rust only where a firm date is late. */
export const STANDING_CLASS: Record<FollowUpLine['standing'], string> = {
  UNDATED: 'text-ink-soft',
  AHEAD: '',
  SOON: 'text-brass-ink font-semibold',
  LATE_FLEXIBLE: 'text-brass-ink font-semibold',
  LATE_FIRM: 'text-rust font-semibold',
}

/** What is said beside the date, so that colour is never the only sign. */
export const STANDING_WORD: Record<FollowUpLine['standing'], string> = {
  UNDATED: '',
  AHEAD: '',
  SOON: 'soon',
  LATE_FLEXIBLE: 'passed',
  LATE_FIRM: 'late',
}

export interface CategoryGroup {
  category: CategoryView | undefined
  lines: FollowUpLine[]
}

/** Follow-ups by category in the categories' order, those without one last; empty groups are left out. */
export function byCategory(
  lines: readonly FollowUpLine[],
  categories: readonly CategoryView[],
): CategoryGroup[] {
  const known = new Set(categories.map((category) => category.id))
  const groups: CategoryGroup[] = categories.map((category) => ({
    category,
    lines: lines.filter((line) => line.categoryId === category.id),
  }))
  groups.push({
    category: undefined,
    lines: lines.filter((line) => line.categoryId === null || !known.has(line.categoryId)),
  })
  return groups.filter((group) => group.lines.length > 0)
}
