import type { FollowUpFacet, ListForm } from '@/api/client'
import { FACETS, type FacetGroup } from '@/followups/facets'
import { effortText } from '@/ui/effort'
import { replyBy } from '@/ui/time'

/** The list as it is seen, for other people and programs. */
export function tableOf(groups: readonly FacetGroup[], facet: FollowUpFacet): ListForm {
  const by = FACETS.find((each) => each.facet === facet)?.name ?? ''
  return {
    title: `Follow-ups by ${by}`,
    words: '',
    heading: ['What', 'Reply by', 'With', 'Time', 'Place'],
    groups: groups.map((group) => ({
      title: group.title,
      rows: group.lines.map((line) => [
        line.title,
        line.replyDay
          ? `${line.firm ? '' : 'about '}${replyBy(line.replyDay, line.replyTime)}`
          : 'no date',
        line.from ?? line.people[0]?.name ?? '',
        line.effortMinutes === null ? '' : effortText(line.effortMinutes),
        line.place,
      ]),
    })),
  }
}
