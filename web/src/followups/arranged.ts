import { useStorage } from '@vueuse/core'
import { computed } from 'vue'
import type { Arrangement, FollowUpFacet } from '@/api/client'

export type FilterPart = Arrangement['only'][number]

/** How the list stands on this machine: by what, in which order, and what of it is shown. */
export function useArranged() {
  const facet = useStorage<FollowUpFacet>('follow-ups-grouped-by', 'REPLY_BY')
  const byHand = useStorage('follow-ups-by-hand', false)
  const only = useStorage<FilterPart[]>('follow-ups-only', [])
  const arranged = computed(() => ({ facet: facet.value, byHand: byHand.value, only: only.value }))

  function has(part: { facet: FollowUpFacet; key: string }): boolean {
    return only.value.some((each) => each.facet === part.facet && each.key === part.key)
  }

  /** Wants what has this value too, or no longer. */
  function toggle(part: FilterPart): void {
    only.value = has(part)
      ? only.value.filter((each) => each.facet !== part.facet || each.key !== part.key)
      : [...only.value, part]
  }

  function takeOver(arrangement: Arrangement): void {
    facet.value = arrangement.facet
    byHand.value = arrangement.byHand
    only.value = [...arrangement.only]
  }

  /** Whether the list stands as an arrangement has it. */
  function standsAs(arrangement: Arrangement): boolean {
    return (
      arrangement.facet === facet.value &&
      arrangement.byHand === byHand.value &&
      arrangement.only.length === only.value.length &&
      arrangement.only.every(has)
    )
  }

  return { facet, byHand, only, arranged, has, toggle, takeOver, standsAs }
}
