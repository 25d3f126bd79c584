import type { FollowUpChoice, FollowUpFacet, FollowUpGroup, FollowUpLine } from '@/api/client'
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
  { facet: 'STATE', name: 'state' },
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

const STATES: Record<string, string> = {
  ANSWERED: 'You have answered: done?',
  BACK: 'What it waited for has come',
  TO_DO: 'To do',
  WAITING: 'Waiting',
  PUT_OFF: 'Put off until a later day',
}

const NOTHING: Record<FollowUpFacet, string> = {
  REPLY_BY: SPANS.UNDATED,
  CATEGORY: 'In no category',
  PERSON: 'With nobody named',
  PLACE: 'Anywhere',
  EFFORT: 'Not estimated',
  PRIORITY: PRIORITIES.NORMAL,
  SOURCE: 'From no message',
  STATE: 'To do',
}

function named(key: string, names: Record<string, string>): string {
  return names[key] ?? key
}

/** What a group is called. */
export function titleOf(group: { key: string; name: string }, facet: FollowUpFacet): string {
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
    case 'STATE':
      return named(group.key, STATES)
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
  /** What they have of the facet; absent where the group is none of it. */
  readonly value?: FollowUpGroup
}

/** What the list shows; what came back stands on top, whatever it has of the facet. */
export function byFacet(
  groups: readonly FollowUpGroup[],
  facet: FollowUpFacet,
  open: readonly FollowUpLine[],
  more: readonly { title: string; lines: readonly FollowUpLine[] }[],
  folded: ReadonlySet<string>,
  height: number,
  /** Whether only some are wanted, so that what is in no group is not. */
  narrowed = false,
): FacetGroup[] {
  const grouped = new Set(groups.flatMap((group) => group.followUps))
  const lines = new Map(open.filter((line) => !line.back).map((line) => [line.id, line]))
  const of = (
    key: string,
    title: string,
    all: readonly FollowUpLine[],
    minutes: number,
    value?: FollowUpGroup,
  ): FacetGroup => ({
    value,
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
      open.filter((line) => line.back && (!narrowed || grouped.has(line.id))),
      0,
    ),
    ...groups.map((group) =>
      of(
        `${facet} ${group.key}`,
        titleOf(group, facet),
        group.followUps.flatMap((id) => lines.get(id) ?? []),
        group.minutes,
        group,
      ),
    ),
    // The list and its groups are asked for one after the other: what is in none yet is in sight all the same.
    of('new', 'New', narrowed ? [] : open.filter((line) => !line.back && !grouped.has(line.id)), 0),
    ...more.map((each) => of(each.title, each.title, each.lines, 0)),
  ].filter((group) => group.count > 0)
}

/** What an open follow-up becomes that is put into a group; nothing where that cannot be meant. */
export function choiceFor(
  group: FacetGroup,
  facet: FollowUpFacet,
): (Pick<FollowUpChoice, 'kind'> & Partial<FollowUpChoice>) | undefined {
  const value = group.value
  if (!value) {
    return undefined
  }
  switch (facet) {
    case 'REPLY_BY':
      return value.day || value.key === 'UNDATED' ? { kind: 'REPLY_BY', day: value.day } : undefined
    case 'CATEGORY':
      return { kind: 'CATEGORY', categoryId: value.key === '' ? null : value.key }
    case 'PERSON':
      return value.key === ''
        ? { kind: 'PERSON' }
        : {
            kind: 'PERSON',
            personName: value.name,
            personAddress: value.key.includes('@') ? value.key : '',
          }
    case 'PLACE':
      return { kind: 'PLACE', place: value.name }
    case 'PRIORITY':
      return { kind: 'PRIORITY', priority: value.key as FollowUpLine['priority'] }
    case 'EFFORT':
      return value.key === 'LONGER'
        ? undefined
        : { kind: 'EFFORT', minutes: value.key === '' ? null : Number(value.key) }
    default:
      return undefined
  }
}
