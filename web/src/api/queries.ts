import { keepPreviousData, QueryClient, useInfiniteQuery, useQuery } from '@tanstack/vue-query'
import { computed, toValue, type MaybeRefOrGetter } from 'vue'
import {
  client,
  Problem,
  unwrap,
  type SearchQuery,
  type SourceView,
  type ThreadGrouping,
  type Turn,
} from '@/api/client'

export const queryClient = new QueryClient({
  defaultOptions: {
    queries: {
      staleTime: 30_000,
      retry: (count, error) => error instanceof Problem && error.status === 0 && count < 3,
    },
  },
})

export function useSession() {
  return useQuery({ queryKey: ['session'], queryFn: () => unwrap(client.GET('/api/session')) })
}

/** How the account counts days; asked for anew now and then, since a browser's clock drifts and sleeps. */
export function useCalendar() {
  const session = useSession()
  return useQuery({
    queryKey: ['calendar'],
    queryFn: () => unwrap(client.GET('/api/calendar')),
    enabled: computed(() => session.data.value?.state === 'SIGNED_IN'),
    refetchInterval: 600_000,
  })
}

export function useIntake() {
  return useQuery({ queryKey: ['intake'], queryFn: () => unwrap(client.GET('/api/intake')) })
}

export function fetchMessage(id: string) {
  return unwrap(client.GET('/api/messages/{id}', { params: { path: { id } } }))
}

/** When something is asked for at all. */
export interface Only {
  enabled?: MaybeRefOrGetter<boolean>
}

/** People by words of a name or an address; without any, those heard of last. */
export function usePeople(words: MaybeRefOrGetter<string>) {
  return useQuery({
    queryKey: computed(() => ['people', toValue(words)]),
    queryFn: () =>
      unwrap(client.GET('/api/people', { params: { query: { q: toValue(words), most: 200 } } })),
    placeholderData: keepPreviousData,
  })
}

/** What is to be talked about in the meetings that are ahead today. */
export function useTalks() {
  return useQuery({
    queryKey: ['talks'],
    queryFn: () => unwrap(client.GET('/api/talks')),
    refetchInterval: 300_000,
  })
}

export function usePerson(id: MaybeRefOrGetter<string>, only: Only = {}) {
  return useQuery({
    ...only,
    queryKey: computed(() => ['person', toValue(id)]),
    queryFn: () =>
      unwrap(client.GET('/api/people/{id}', { params: { path: { id: toValue(id) } } })),
  })
}

function foundBy(query: SearchQuery) {
  return {
    queryKey: ['found', query],
    queryFn: () => unwrap(client.GET('/api/search', { params: { query } })),
  }
}

/** What is found; what was found before stays while the next is looked for. */
export function useFound(query: MaybeRefOrGetter<SearchQuery>, only: Only = {}) {
  return useQuery(
    computed(() => ({
      ...foundBy(toValue(query)),
      placeholderData: keepPreviousData,
      enabled: toValue(only.enabled ?? true),
    })),
  )
}

/** The same once, for whoever waits for it. */
export function fetchFound(query: SearchQuery) {
  return queryClient.query(foundBy(query))
}

export function useKeptSearches() {
  return useQuery({
    queryKey: ['kept-searches'],
    queryFn: () => unwrap(client.GET('/api/searches')),
  })
}

export function useMessage(id: MaybeRefOrGetter<string | undefined>) {
  return useQuery({
    queryKey: computed(() => ['message', toValue(id)]),
    queryFn: () => fetchMessage(toValue(id) ?? ''),
    enabled: computed(() => toValue(id) !== undefined),
  })
}

/** What is known of a day before something is promised for it. */
/** What a message says of a meeting. */
export function useInvitation(messageId: MaybeRefOrGetter<string>) {
  return useQuery({
    queryKey: computed(() => ['invitation', toValue(messageId)]),
    queryFn: () =>
      unwrap(
        client.GET('/api/messages/{id}/invitation', {
          params: { path: { id: toValue(messageId) } },
        }),
      ),
  })
}

export function useDay(day: MaybeRefOrGetter<string | null>) {
  return useQuery({
    queryKey: computed(() => ['day', toValue(day)]),
    queryFn: () =>
      unwrap(client.GET('/api/day', { params: { query: { day: toValue(day) ?? '' } } })),
    enabled: computed(() => toValue(day) !== null),
  })
}

export function useCategories() {
  return useQuery({
    queryKey: ['categories'],
    queryFn: () => unwrap(client.GET('/api/categories')),
  })
}

/** The day; asked for again each minute, since it passes. */
export function useToday(only: Only = {}) {
  return useQuery({
    ...only,
    queryKey: ['today'],
    queryFn: () => unwrap(client.GET('/api/today')),
    refetchInterval: 60_000,
  })
}

export function useAhead(days: MaybeRefOrGetter<number>) {
  return useQuery({
    queryKey: computed(() => ['ahead', toValue(days)]),
    queryFn: () => unwrap(client.GET('/api/ahead', { params: { query: { days: toValue(days) } } })),
    placeholderData: (previous) => previous,
  })
}

export function useCalendars() {
  return useQuery({ queryKey: ['calendars'], queryFn: () => unwrap(client.GET('/api/calendars')) })
}

/** The calendar that blocks are written into. */
export function useBlockCalendar() {
  return useQuery({
    queryKey: ['block-calendar'],
    queryFn: () => unwrap(client.GET('/api/settings/blocks')),
  })
}

/** The task list that follow-ups stand in too. */
export function useTaskList() {
  return useQuery({
    queryKey: ['task-list'],
    queryFn: () => unwrap(client.GET('/api/settings/tasks')),
  })
}

/** When and how the account chases others. */
export function useChaseSettings() {
  return useQuery({
    queryKey: ['chase-settings'],
    queryFn: () => unwrap(client.GET('/api/settings/chasing')),
  })
}

/** Those who are to be chased today. */
export function useChases() {
  return useQuery({
    queryKey: ['chases'],
    queryFn: () => unwrap(client.GET('/api/chases/due')),
  })
}

const THREADS_A_PAGE = 100

export function useThreads(turn: MaybeRefOrGetter<Turn>, by: MaybeRefOrGetter<ThreadGrouping>) {
  return useInfiniteQuery({
    queryKey: computed(() => ['threads', toValue(turn), toValue(by)]),
    queryFn: ({ pageParam }) =>
      unwrap(
        client.GET('/api/threads', {
          params: { query: { turn: toValue(turn), by: toValue(by), offset: pageParam } },
        }),
      ),
    initialPageParam: 0,
    getNextPageParam: (last, all) => (last.more ? all.length * THREADS_A_PAGE : undefined),
    placeholderData: (previous) => previous,
  })
}

/** What the other readers of its mailbox do about a message. */
export function useOffice(id: MaybeRefOrGetter<string>) {
  return useQuery({
    queryKey: computed(() => ['office', toValue(id)]),
    queryFn: () =>
      unwrap(client.GET('/api/messages/{id}/office', { params: { path: { id: toValue(id) } } })),
  })
}

/** What I gave away, and what I took over. */
export function useHandOvers() {
  return useQuery({
    queryKey: ['hand-overs'],
    queryFn: () => unwrap(client.GET('/api/hand-overs')),
  })
}

/** What I have promised. */
export function usePromises() {
  return useQuery({ queryKey: ['promises'], queryFn: () => unwrap(client.GET('/api/promises')) })
}

/** Threads that may be closed, silent for so many working days or with a last word. */
export function useClosable(days: MaybeRefOrGetter<number>) {
  return useQuery({
    queryKey: computed(() => ['closable', toValue(days)]),
    queryFn: () =>
      unwrap(client.GET('/api/threads/closable', { params: { query: { days: toValue(days) } } })),
    placeholderData: (previous) => previous,
  })
}

export function useThread(id: MaybeRefOrGetter<string | undefined>) {
  return useQuery({
    queryKey: computed(() => ['thread', toValue(id)]),
    queryFn: () =>
      unwrap(client.GET('/api/threads/{id}', { params: { path: { id: toValue(id) ?? '' } } })),
    enabled: computed(() => toValue(id) !== undefined),
  })
}

/** What is worked at now. */
export function useRunningClock() {
  return useQuery({
    queryKey: ['running-clock'],
    queryFn: () => unwrap(client.GET('/api/time/running')),
    refetchInterval: 60_000,
  })
}

export function useHistory(subjectId: MaybeRefOrGetter<string>) {
  return useQuery({
    queryKey: computed(() => ['history', toValue(subjectId)]),
    queryFn: () =>
      unwrap(
        client.GET('/api/history/{subjectId}', {
          params: { path: { subjectId: toValue(subjectId) } },
        }),
      ),
  })
}

/** What was changed on a day, the newest first; today when no day is said. */
export function useChanges(day: MaybeRefOrGetter<string | undefined>) {
  return useQuery({
    queryKey: computed(() => ['changes', toValue(day) ?? 'today']),
    queryFn: () => {
      const of = toValue(day)
      return unwrap(client.GET('/api/commands', { params: { query: of ? { day: of } : {} } }))
    },
  })
}

export function useSources() {
  return useQuery({ queryKey: ['sources'], queryFn: () => unwrap(client.GET('/api/sources')) })
}

/** What is set of a connected mail account. */
export function useMailSettings(source: SourceView | undefined) {
  return useQuery({
    queryKey: ['sources', 'mail', source?.id],
    queryFn: () =>
      unwrap(client.GET('/api/sources/mail/{id}', { params: { path: { id: source?.id ?? '' } } })),
    enabled: source !== undefined,
  })
}

/** What is set of a connected chat account. */
export function useChatSettings(source: SourceView | undefined) {
  return useQuery({
    queryKey: ['sources', 'chat', source?.id],
    queryFn: () =>
      unwrap(client.GET('/api/sources/chat/{id}', { params: { path: { id: source?.id ?? '' } } })),
    enabled: source !== undefined,
  })
}

/** The rooms of a chat account, asked for once somebody wants to see them. */
export function useRooms(sourceId: string, wanted: MaybeRefOrGetter<boolean>) {
  return useQuery({
    queryKey: ['sources', 'rooms', sourceId],
    queryFn: () =>
      unwrap(client.GET('/api/sources/{id}/rooms', { params: { path: { id: sourceId } } })),
    enabled: computed(() => toValue(wanted)),
  })
}

/** Rules about single senders and lists. */
export function usePartyRules() {
  return useQuery({
    queryKey: ['party-rules'],
    queryFn: () => unwrap(client.GET('/api/party-rules')),
  })
}

/** By which ways to ask messages were taken to ask that ask nothing. */
export function useWaysToAsk() {
  return useQuery({
    queryKey: ['party-rules', 'ways'],
    queryFn: () => unwrap(client.GET('/api/ways-to-ask')),
  })
}

/** How far reading everything again has come. */
export function useReadingProgress() {
  return useQuery({
    queryKey: ['reading'],
    queryFn: () => unwrap(client.GET('/api/reading/progress')),
  })
}

export function useOutbox() {
  return useQuery({ queryKey: ['outbox'], queryFn: () => unwrap(client.GET('/api/outbox')) })
}

export function usePhrases() {
  return useQuery({ queryKey: ['phrases'], queryFn: () => unwrap(client.GET('/api/phrases')) })
}

export function useRecipes() {
  return useQuery({ queryKey: ['recipes'], queryFn: () => unwrap(client.GET('/api/recipes')) })
}

export function useRecipeRuns() {
  return useQuery({
    queryKey: ['recipe-runs'],
    queryFn: () => unwrap(client.GET('/api/recipes/runs')),
  })
}

/** What each recipe would do to a message. */
export function useRecipePlans(messageId: MaybeRefOrGetter<string>) {
  return useQuery({
    queryKey: computed(() => ['recipe-plans', toValue(messageId)]),
    queryFn: () =>
      unwrap(
        client.GET('/api/messages/{id}/recipes', { params: { path: { id: toValue(messageId) } } }),
      ),
    staleTime: 0,
  })
}

/** What has come up and waits for somebody. */
export function useReminders() {
  return useQuery({
    queryKey: ['reminders'],
    queryFn: () => unwrap(client.GET('/api/reminders')),
    // A meeting that has begun goes by itself.
    refetchInterval: 60_000,
  })
}

/** The reminders of a follow-up. */
export function useRemindersOf(id: MaybeRefOrGetter<string>) {
  return useQuery({
    queryKey: computed(() => ['reminders-of', toValue(id)]),
    queryFn: () =>
      unwrap(
        client.GET('/api/follow-ups/{id}/reminders', { params: { path: { id: toValue(id) } } }),
      ),
  })
}

/** How an account wants to be reminded. */
export function useReminderWishes() {
  return useQuery({
    queryKey: ['reminder-wishes'],
    queryFn: () => unwrap(client.GET('/api/settings/reminders')),
  })
}

export function usePreferences() {
  const session = useSession()
  return useQuery({
    queryKey: ['preferences'],
    queryFn: () => unwrap(client.GET('/api/preferences')),
    enabled: computed(() => session.data.value?.state === 'SIGNED_IN'),
  })
}

/** The others of this installation. */
export function useColleagues() {
  return useQuery({
    queryKey: ['colleagues'],
    queryFn: () => unwrap(client.GET('/api/colleagues')),
  })
}

/** Those who have written lately, the most recent first. */
export function useWriters() {
  return useQuery({
    queryKey: ['writers'],
    queryFn: () => unwrap(client.GET('/api/capture/people')),
    staleTime: 600_000,
  })
}
