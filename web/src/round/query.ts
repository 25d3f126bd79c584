import { useQuery } from '@tanstack/vue-query'
import { computed, toValue, type MaybeRefOrGetter } from 'vue'
import { client, unwrap, type RoundStep } from '@/api/client'

/** How far the walk has come. */
export function useRound() {
  return useQuery({
    queryKey: ['round'],
    queryFn: () => unwrap(client.GET('/api/round')),
  })
}

/** What is still to be decided about in a step. */
export function useStep(step: MaybeRefOrGetter<RoundStep>) {
  return useQuery({
    queryKey: computed(() => ['round', 'step', toValue(step)]),
    queryFn: () =>
      unwrap(client.GET('/api/round/lines', { params: { query: { step: toValue(step) } } })),
  })
}
