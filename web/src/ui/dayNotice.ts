import type { DayView } from '@/api/client'
import { day } from '@/ui/time'

function hours(minutes: number): string {
  return minutes < 60 ? `${minutes} min` : `${Math.round(minutes / 30) / 2} h`
}

/** What speaks against a day: that nobody works then, or that it is full; empty when nothing does. */
export function dayNotice(view: DayView): string {
  if (view.off) {
    return `is a day off (${view.off})`
  }
  if (!view.full) {
    return ''
  }
  const other = view.roomOn ? `; ${day(view.roomOn)} has room` : ''
  return `is full: ${view.due} due, about ${hours(view.dueMinutes)} in ${hours(view.freeMinutes)}${other}`
}
