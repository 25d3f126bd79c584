import { defineStore } from 'pinia'
import { markRaw } from 'vue'
import type { CalendarView } from '@/api/client'

/** How the account counts: its zone, its clock, its working days. The page formats with it and computes nothing else. */
interface AccountCalendar {
  zone: string
  /** Milliseconds by which the application's clock is ahead of the browser's. */
  aheadMs: number
  monthFirst: boolean
  workingDays: ReadonlySet<CalendarView['workingDays'][number]>
  minutesOfADay: number
  off: ReadonlyMap<string, string>
}

/** What holds until the account's own is known, and while nobody is signed in. */
const USUAL: AccountCalendar = {
  zone: Intl.DateTimeFormat().resolvedOptions().timeZone,
  aheadMs: 0,
  monthFirst: false,
  workingDays: new Set(['MONDAY', 'TUESDAY', 'WEDNESDAY', 'THURSDAY', 'FRIDAY']),
  minutesOfADay: 480,
  off: new Map(),
}

export const useAccountCalendar = defineStore('account calendar', {
  state: () => ({ ...USUAL }),
  actions: {
    /** Takes over the account's calendar. A difference of a few seconds is the way of the answer, not a wrong clock. */
    adopt(view: CalendarView, receivedAtMs = Date.now()): void {
      const ahead = Date.parse(view.now) - receivedAtMs
      this.$patch({
        zone: view.zone,
        aheadMs: Math.abs(ahead) < 5_000 ? 0 : ahead,
        monthFirst: view.monthFirst,
        workingDays: markRaw(new Set(view.workingDays)),
        minutesOfADay: view.minutesOfADay,
        off: markRaw(new Map(view.off.map((day) => [day.day, day.reason]))),
      })
    },
  },
})

/** The moment by the application's clock. */
export function now(): Date {
  return new Date(Date.now() + useAccountCalendar().aheadMs)
}

const WEEKDAYS = [
  'SUNDAY',
  'MONDAY',
  'TUESDAY',
  'WEDNESDAY',
  'THURSDAY',
  'FRIDAY',
  'SATURDAY',
] as const

/** Whether no work is done on a calendar day ("2026-03-06"). */
export function isDayOff(isoDay: string): boolean {
  const weekday = WEEKDAYS[new Date(`${isoDay}T00:00:00Z`).getUTCDay()] ?? 'SUNDAY'
  const { workingDays, off } = useAccountCalendar()
  return !workingDays.has(weekday) || off.has(isoDay)
}
