import { useQuery } from '@tanstack/vue-query'
import { computed, toValue, type MaybeRefOrGetter } from 'vue'
import type { LocationQuery } from 'vue-router'
import { client, unwrap, type SpentBy, type TimeWishes } from '@/api/client'
import { shiftDay, today } from '@/ui/time'

/** Of which days spent time is told, and what stands together. */
export interface TimeWish {
  readonly from: string
  readonly to: string
  readonly by: SpentBy
  readonly category?: string | undefined
  readonly person?: string | undefined
}

export const BY: readonly { by: SpentBy; text: string }[] = [
  { by: 'DAY', text: 'by day' },
  { by: 'CATEGORY', text: 'by category' },
  { by: 'PERSON', text: 'by person' },
  { by: 'FOLLOW_UP', text: 'by follow-up' },
]

/** The Monday of the week of a day. */
export function mondayOf(isoDay: string): string {
  const weekday = new Date(`${isoDay}T12:00:00Z`).getUTCDay()
  return shiftDay(isoDay, -((weekday + 6) % 7))
}

/** The last day of the month of a day. */
function lastOfMonth(isoDay: string): string {
  return shiftDay(`${shiftDay(`${isoDay.slice(0, 8)}01`, 31).slice(0, 8)}01`, -1)
}

/** The spans of days that are mostly wanted. */
export function spans(): { text: string; from: string; to: string }[] {
  const monday = mondayOf(today())
  const first = `${today().slice(0, 8)}01`
  const lastMonth = `${shiftDay(first, -1).slice(0, 8)}01`
  return [
    { text: 'this week', from: monday, to: shiftDay(monday, 6) },
    { text: 'last week', from: shiftDay(monday, -7), to: shiftDay(monday, -1) },
    { text: 'this month', from: first, to: lastOfMonth(first) },
    { text: 'last month', from: lastMonth, to: lastOfMonth(lastMonth) },
  ]
}

const isDay = (value: unknown): value is string =>
  typeof value === 'string' && /^\d{4}-\d\d-\d\d$/.test(value)

/** What an address asks for; this week by day where it says nothing. */
export function timeWishIn(query: LocationQuery): TimeWish {
  const monday = mondayOf(today())
  return {
    from: isDay(query.from) ? query.from : monday,
    to: isDay(query.to) ? query.to : shiftDay(isDay(query.from) ? query.from : monday, 6),
    by: BY.find((each) => each.by === query.by)?.by ?? 'DAY',
    ...(typeof query.category === 'string' ? { category: query.category } : {}),
    ...(typeof query.person === 'string' ? { person: query.person } : {}),
  }
}

/** The address of the same as a file. */
export function timeFile(wish: TimeWish, ending: 'pdf' | 'csv'): string {
  return `/api/time.${ending}?${new URLSearchParams(timeQuery(wish)).toString()}`
}

/** What is wanted, as it stands in an address. */
export function timeQuery({ category, person, ...days }: TimeWish): Record<string, string> {
  return { ...days, ...(category ? { category } : {}), ...(person ? { person } : {}) }
}

/** The time that was spent. */
export function useSpent(wish: MaybeRefOrGetter<TimeWish>) {
  return useQuery({
    queryKey: computed(() => ['spent', toValue(wish)]),
    queryFn: () => unwrap(client.GET('/api/time', { params: { query: { ...toValue(wish) } } })),
    placeholderData: (previous) => previous,
  })
}

/** How it is rounded and billed. */
export function useTimeWishes() {
  return useQuery({
    queryKey: ['time-wishes'],
    queryFn: (): Promise<TimeWishes> => unwrap(client.GET('/api/settings/time')),
  })
}
