import { useInfiniteQuery } from '@tanstack/vue-query'
import { computed, toValue, type MaybeRefOrGetter } from 'vue'
import type { LocationQuery } from 'vue-router'
import { client, unwrap, type EndedLine } from '@/api/client'

/** Which of what has ended is wanted. */
export interface RecordWish {
  readonly category: string | null
  readonly state: EndedLine['state'] | null
  readonly kind: EndedLine['kind'] | null
  readonly onTime: boolean | null
  readonly from: string | null
  readonly to: string | null
  readonly person: string | null
}

export const EVERYTHING: RecordWish = {
  category: null,
  state: null,
  kind: null,
  onTime: null,
  from: null,
  to: null,
  person: null,
}

/** What an address asks for. */
export function recordWishIn(query: LocationQuery): RecordWish {
  const text = (name: string) => {
    const value = query[name]
    return typeof value === 'string' && value !== '' ? value : null
  }
  return {
    category: text('category'),
    state: query.state === 'DONE' || query.state === 'DROPPED' ? query.state : null,
    kind: query.kind === 'FOLLOW_UP' || query.kind === 'THREAD' ? query.kind : null,
    onTime: query.onTime === 'true' ? true : query.onTime === 'false' ? false : null,
    from: text('from'),
    to: text('to'),
    person: text('person'),
  }
}

/** The same as it stands in an address. */
export function queryOf(wish: RecordWish): Record<string, string> {
  return Object.fromEntries(
    Object.entries(wish).flatMap(([name, value]) =>
      value === null ? [] : [[name, String(value)]],
    ),
  )
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
