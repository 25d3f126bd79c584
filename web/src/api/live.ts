import { readonly, ref } from 'vue'
import { queryClient } from '@/api/queries'

const connected = ref(true)

/** Whether changes made elsewhere reach this page. */
export const liveConnected = readonly(connected)

const KEYS: Record<string, string[]> = {
  INTAKE: ['intake', 'message', 'history', 'recipe-runs'],
  FOLLOW_UPS: ['follow-ups', 'follow-up', 'day', 'message', 'history'],
  THREADS: ['threads', 'thread', 'history'],
  CATEGORIES: ['categories'],
  SOURCES: ['sources'],
  OUTBOX: ['outbox', 'thread'],
  READING: ['reading', 'party-rules', 'message', 'calendar'],
  SETTINGS: ['phrases', 'recipes', 'preferences', 'working-time', 'calendar', 'session'],
}

/** Asks again for everything that the named topics show. */
export function reload(topics: string[]): void {
  const keys = new Set(topics.flatMap((topic) => KEYS[topic] ?? []))
  keys.forEach((key) => void queryClient.invalidateQueries({ queryKey: [key] }))
}

const happenedListeners = new Set<(commandId: string, label: string) => void>()

/** Calls back when something was changed without a request from any page. */
export function onHappened(listener: (commandId: string, label: string) => void): void {
  happenedListeners.add(listener)
}

let stream: EventSource | undefined

/** Follows the server's stream of changes; after a break everything is asked for again. */
export function followChanges(): void {
  stream?.close()
  const events = new EventSource('/api/live')
  stream = events
  let broken = false
  events.addEventListener('open', () => {
    connected.value = true
    if (broken) {
      broken = false
      void queryClient.invalidateQueries()
    }
  })
  events.addEventListener('changed', (event: MessageEvent<string>) => {
    const { topics } = JSON.parse(event.data) as { topics: string[] }
    reload(topics)
  })
  events.addEventListener('happened', (event: MessageEvent<string>) => {
    const { commandId, label } = JSON.parse(event.data) as { commandId: string; label: string }
    happenedListeners.forEach((listener) => {
      listener(commandId, label)
    })
  })
  events.addEventListener('error', () => {
    broken = true
    connected.value = false
    if (events.readyState === EventSource.CLOSED) {
      setTimeout(() => {
        if (stream === events) {
          followChanges()
          broken = true
          void queryClient.invalidateQueries({ queryKey: ['session'] })
        }
      }, 2_000)
    }
  })
}

export function stopFollowing(): void {
  stream?.close()
  stream = undefined
}
