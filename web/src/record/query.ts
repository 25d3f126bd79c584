import { useInfiniteQuery } from '@tanstack/vue-query'
import { computed, toValue, type MaybeRefOrGetter } from 'vue'
import { client, unwrap, type EndedLine } from '@/api/client'

/** Which of what has ended is wanted. */
export interface RecordWish {
  readonly category: string | null
  readonly state: EndedLine['state'] | null
  readonly onTime: boolean | null
  readonly from: string | null
  readonly to: string | null
  readonly person: string | null
}

export const EVERYTHING: RecordWish = {
  category: null,
  state: null,
  onTime: null,
  from: null,
  to: null,
  person: null,
}

interface Place {
  before: string
  beforeId: string
}

function chosen(wish: RecordWish) {
  return Object.fromEntries(Object.entries(wish).filter(([, value]) => value !== null))
}

/** What has ended, page by page. */
export function useRecord(wish: MaybeRefOrGetter<RecordWish>) {
  return useInfiniteQuery({
    queryKey: computed(() => ['record', toValue(wish)]),
    queryFn: ({ pageParam }) =>
      unwrap(
        client.GET('/api/record', {
          params: { query: { ...chosen(toValue(wish)), ...pageParam } },
        }),
      ),
    initialPageParam: {} as Partial<Place>,
    getNextPageParam: (last) => last.next ?? undefined,
    placeholderData: (previous) => previous,
  })
}
