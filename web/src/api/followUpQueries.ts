import { keepPreviousData, useQuery } from '@tanstack/vue-query'
import { computed, toValue, type MaybeRefOrGetter } from 'vue'
import { client, unwrap, type FollowUpFacet } from '@/api/client'
import type { Only } from '@/api/queries'

/** What the list of follow-ups shows, and how. */
export interface Arranged {
  readonly facet: FollowUpFacet
  readonly byHand: boolean
  readonly only: readonly { facet: FollowUpFacet; key: string }[]
}

/** Follow-ups by one facet. */
export function useFollowUpGroups(arranged: MaybeRefOrGetter<Arranged>, only: Only = {}) {
  const query = computed(() => {
    const { facet, byHand, only } = toValue(arranged)
    return { by: facet, byHand, only: only.map((part) => `${part.facet}:${part.key}`) }
  })
  return useQuery({
    ...only,
    queryKey: computed(() => ['follow-up-groups', query.value]),
    queryFn: () => unwrap(client.GET('/api/follow-ups/groups', { params: { query: query.value } })),
    placeholderData: keepPreviousData,
  })
}

/** What open follow-ups have of each facet. */
export function useFollowUpFacets() {
  return useQuery({
    queryKey: ['follow-up-facets'],
    queryFn: () => unwrap(client.GET('/api/follow-ups/facets')),
  })
}

/** How the list of follow-ups stands, under names. */
export function useArrangements() {
  return useQuery({
    queryKey: ['arrangements'],
    queryFn: () => unwrap(client.GET('/api/arrangements')),
  })
}

/** What can be done at a place, in so many minutes; without them until the next meeting. */
export function useHereAndNow(
  place: MaybeRefOrGetter<string>,
  minutes: MaybeRefOrGetter<number | undefined>,
) {
  return useQuery({
    queryKey: computed(() => ['here-and-now', toValue(place), toValue(minutes)]),
    queryFn: () => {
      const wanted = toValue(minutes)
      return unwrap(
        client.GET('/api/follow-ups/here', {
          params: {
            query: { place: toValue(place), ...(wanted === undefined ? {} : { minutes: wanted }) },
          },
        }),
      )
    },
    placeholderData: keepPreviousData,
    refetchInterval: 60_000,
  })
}

export function useFollowUps(only: Only = {}) {
  return useQuery({
    ...only,
    queryKey: ['follow-ups'],
    queryFn: () => unwrap(client.GET('/api/follow-ups')),
  })
}

export function useFollowUp(id: MaybeRefOrGetter<string>) {
  return useQuery({
    queryKey: computed(() => ['follow-up', toValue(id)]),
    queryFn: () =>
      unwrap(client.GET('/api/follow-ups/{id}', { params: { path: { id: toValue(id) } } })),
  })
}

/** What lies with a follow-up. */
export function useAttached(id: MaybeRefOrGetter<string>) {
  return useQuery({
    queryKey: computed(() => ['attached', toValue(id)]),
    queryFn: () =>
      unwrap(
        client.GET('/api/follow-ups/{id}/attached', { params: { path: { id: toValue(id) } } }),
      ),
  })
}
