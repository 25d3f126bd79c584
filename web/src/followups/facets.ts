import type { FollowUpLine, FollowUpFacet, FollowUpGroup } from '@/api/client'
import type { FollowUpListRow } from '@/followups/standing'
import type { RowGroup } from '@/ui/rows'

/** By what the list can stand together, in the order in which a key goes through them. */
export const FACETS: readonly { facet: FollowUpFacet; name: string }[] = [
  { facet: 'REPLY_BY', name: 'date' },
  { facet: 'CATEGORY', name: 'category' },
  { facet: 'PERSON', name: 'person' },
  { facet: 'PLACE', name: 'place' },
  { facet: 'EFFORT', name: 'effort' },
  { facet: 'PRIORITY', name: 'priority' },
  { facet: 'SOURCE', name: 'source' },
]

const SPANS: Record<FollowUpLine['due'], string> = {
  LATE: 'Late',
  TODAY: 'Today',
  TOMORROW: 'Tomorrow',
  THIS_WEEK: 'This week',
  NEXT_WEEK: 'Next week',
  AFTER_THAT: 'After that',
  UNDATED: 'Without a date',
}

const PRIORITIES: Record<FollowUpLine['priority'], string> = {
  HIGH: 'High priority',
  NORMAL: 'Normal priority',
  LOW: 'Low priority',
}

const SIZES: Record<string, string> = {
  '5': 'Up to 5 minutes',
  '15': 'Up to 15 minutes',
  '30': 'Up to half an hour',
  '60': 'Up to an hour',
  '120': 'Up to two hours',
  LONGER: 'Longer',
}

const NOTHING: Record<FollowUpFacet, string> = {
  REPLY_BY: SPANS.UNDATED,
  CATEGORY: 'In no category',
  PERSON: 'With nobody named',
  PLACE: 'Anywhere',
  EFFORT: 'Not estimated',
  PRIORITY: PRIORITIES.NORMAL,
  SOURCE: 'From no message',
}

function named(key: string, names: Record<string, string>): string {
  return names[key] ?? key
}

/** What a group is called. */
export function titleOf(group: FollowUpGroup, facet: FollowUpFacet): string {
  if (group.key === '') {
    return NOTHING[facet]
  }
  switch (facet) {
    case 'REPLY_BY':
      return named(group.key, SPANS)
    case 'PRIORITY':
      return named(group.key, PRIORITIES)
    case 'EFFORT':
      return named(group.key, SIZES)
    default:
      return group.name
  }
}

/** A group of the list: folded ones keep their heading, with how many there are and how long they take. */
export interface FacetGroup extends RowGroup<FollowUpListRow> {
  readonly count: number
  /** How long all of them take; 0 where it says nothing. */
  readonly minutes: number
  readonly folded: boolean
  readonly lines: readonly FollowUpLine[]
}

/** What the list shows; what came back stands on top, whatever it has of the facet. */
export function byFacet(
  groups: readonly FollowUpGroup[],
  facet: FollowUpFacet,
  open: readonly FollowUpLine[],
  more: readonly { title: string; lines: readonly FollowUpLine[] }[],
  folded: ReadonlySet<string>,
  height: number,
): FacetGroup[] {
  const grouped = new Set(groups.flatMap((group) => group.followUps))
  const lines = new Map(open.filter((line) => !line.back).map((line) => [line.id, line]))
  const of = (
    key: string,
    title: string,
    all: readonly FollowUpLine[],
    minutes: number,
  ): FacetGroup => ({
    key,
    title,
    lines: all,
    count: all.length,
    minutes,
    folded: folded.has(key),
    rows: folded.has(key) ? [] : all.map((line) => ({ key: line.id, height, line })),
  })
  return [
    of(
      'back',
      'Back on top',
      open.filter((line) => line.back),
      0,
    ),
    ...groups.map((group) =>
      of(
        `${facet} ${group.key}`,
        titleOf(group, facet),
        group.followUps.flatMap((id) => lines.get(id) ?? []),
        group.minutes,
      ),
    ),
    // The list and its groups are asked for one after the other: what is in none yet is in sight all the same.
    of(
      'new',
      'New',
      open.filter((line) => !line.back && !grouped.has(line.id)),
      0,
    ),
    ...more.map((each) => of(each.title, each.title, each.lines, 0)),
  ].filter((group) => group.count > 0)
}
