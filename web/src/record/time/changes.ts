import { client, type Done, type TimeWishes } from '@/api/client'
import { run } from '@/api/commands'

/** When something was worked at, and for how long. */
export interface WorkedTime {
  day: string
  from: string
  minutes: number
}

/** Puts a time right; one under way ends by it. */
export function correct(id: string, time: WorkedTime): Promise<Done | undefined> {
  return run((header) =>
    client.PUT('/api/time/entries/{id}', { params: { path: { id }, header }, body: time }),
  )
}

/** Takes a time away that was none. */
export function removeTime(id: string): Promise<Done | undefined> {
  return run((header) =>
    client.DELETE('/api/time/entries/{id}', { params: { path: { id }, header } }),
  )
}

/** How time is rounded and billed. */
export function saveTimeWishes(wishes: TimeWishes): Promise<Done | undefined> {
  return run((header) => client.PUT('/api/settings/time', { params: { header }, body: wishes }))
}
