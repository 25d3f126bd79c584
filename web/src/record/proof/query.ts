import { useQuery } from '@tanstack/vue-query'
import { computed, toValue, type MaybeRefOrGetter } from 'vue'
import type { LocationQuery, RouteLocationRaw } from 'vue-router'
import { client, unwrap } from '@/api/client'

/** Of what something is to be proved: one thread, or what is with somebody, of a category, of some days. */
export interface ProofWish {
  readonly thread?: string
  readonly person?: string
  readonly category?: string
  readonly from?: string
  readonly to?: string
}

/** Where the proof of something stands. */
export function proofOf(wish: ProofWish): RouteLocationRaw {
  return { name: 'record', params: { part: 'proof' }, query: { ...wish } }
}

/** What an address asks for. */
export function wishIn(query: LocationQuery): ProofWish {
  return Object.fromEntries(
    (['thread', 'person', 'category', 'from', 'to'] as const).flatMap((name) =>
      typeof query[name] === 'string' && query[name] !== '' ? [[name, query[name]]] : [],
    ),
  )
}

/** The address of its file. */
export function fileOf(wish: ProofWish, ending: 'pdf' | 'zip'): string {
  const { thread, ...rest } = wish
  return thread === undefined
    ? `/api/record/proof.${ending}?${new URLSearchParams(rest).toString()}`
    : `/api/threads/${encodeURIComponent(thread)}/proof.${ending}`
}

/** What was asked and answered. */
export function useProof(wish: MaybeRefOrGetter<ProofWish>) {
  return useQuery({
    queryKey: computed(() => ['proof', toValue(wish)]),
    queryFn: () => {
      const { thread, ...rest } = toValue(wish)
      return thread === undefined
        ? unwrap(client.GET('/api/record/proof', { params: { query: rest } }))
        : unwrap(client.GET('/api/threads/{id}/proof', { params: { path: { id: thread } } }))
    },
    enabled: computed(() => Object.keys(toValue(wish)).length > 0),
  })
}
