import { defineStore } from 'pinia'
import type { DueReminder, MeetingTold } from '@/api/client'
import { shortMoment } from '@/ui/time'

/** What was told of in this browser, so that no tab tells of it again. */
const KEPT = 'reminders-told'
const MOST_KEPT = 200

type Permission = 'granted' | 'denied' | 'default' | 'unknown'

function now(): Permission {
  return typeof Notification === 'undefined' ? 'unknown' : Notification.permission
}

/** Whether this browser lets notifications be shown. */
export const usePermission = defineStore('notifications', { state: () => ({ given: now() }) })

/** Asks the browser; it does so only after a press of a button. */
export async function askPermission(): Promise<void> {
  if (typeof Notification !== 'undefined') {
    usePermission().given = await Notification.requestPermission()
  }
}

function kept(): string[] {
  try {
    const found: unknown = JSON.parse(localStorage.getItem(KEPT) ?? '[]')
    return Array.isArray(found) ? found.map(String) : []
  } catch {
    return []
  }
}

/** Those that nobody was told of in this browser; they count as told from now on. */
export function untold(names: readonly string[]): string[] {
  const before = kept()
  const fresh = names.filter((name) => !before.includes(name))
  if (fresh.length > 0) {
    localStorage.setItem(KEPT, JSON.stringify([...before, ...fresh].slice(-MOST_KEPT)))
  }
  return fresh
}

function tell(name: string, title: string, body: string, to: () => void): void {
  const notification = new Notification(title, { body, tag: name })
  notification.onclick = () => {
    window.focus()
    to()
    notification.close()
  }
}

/** Tells of what has come up, once in this browser, in whichever of its tabs comes first. */
export async function notify(
  due: readonly DueReminder[],
  meetings: readonly MeetingTold[],
  open: (followUpId: string) => void,
): Promise<void> {
  if (now() !== 'granted') {
    return
  }
  const byName = new Map<string, () => void>()
  for (const each of due) {
    const name = `${each.id} ${each.shownAt}`
    byName.set(name, () => {
      tell(name, each.title, each.answered ? 'Somebody has answered' : 'Reminder', () => {
        open(each.followUpId)
      })
    })
  }
  for (const each of meetings) {
    const name = `${each.uid} ${each.startsAt}`
    byName.set(name, () => {
      tell(
        name,
        each.title,
        [shortMoment(each.startsAt), each.place].filter(Boolean).join(', '),
        () => undefined,
      )
    })
  }
  const telling = () => {
    untold([...byName.keys()]).forEach((name) => byName.get(name)?.())
    return Promise.resolve()
  }
  // Two tabs learn of it in the same moment; not every browser lets pages lock.
  const locks = (navigator as { locks?: LockManager | null }).locks
  await (locks ? locks.request(KEPT, telling) : telling())
}
