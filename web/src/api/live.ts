import { readonly, ref } from 'vue'
import { queryClient } from '@/api/queries'

const connected = ref(true)

/** Whether changes made elsewhere reach this page. */
export const liveConnected = readonly(connected)

/** What more than one view shows of a topic, by the names of the queries. */
const SHARED: Readonly<Record<string, readonly string[]>> = {
  INTAKE: ['history'],
  FOLLOW_UPS: ['day', 'message', 'history'],
  THREADS: ['history'],
  CATEGORIES: ['categories'],
  SOURCES: ['sources'],
  OUTBOX: ['outbox'],
  READING: ['reading', 'message', 'calendar'],
  SETTINGS: ['phrases', 'recipes', 'preferences', 'calendar', 'session'],
}

const listening: Readonly<Record<string, readonly string[]>>[] = [SHARED]

/** Adds what a view shows of the topics. */
export function listen(topics: Readonly<Record<string, readonly string[]>>): void {
  listening.push(topics)
}

/** Asks again for everything that the named topics show. */
export function reload(topics: string[]): void {
  const keys = new Set(topics.flatMap((topic) => listening.flatMap((each) => each[topic] ?? [])))
  keys.forEach((key) => void queryClient.invalidateQueries({ queryKey: [key] }))
}

/** Asks again for everything that changes can touch: after a change that may or may not have been made. */
export function reloadAll(): void {
  reload([...new Set(listening.flatMap((each) => Object.keys(each)))])
}

/** Changes that this page has made: it loads again what they touched when they are answered. */
const own = new Set<string>()

/** Notes a change that this page makes, before it is sent. */
export function isOwn(commandId: string): void {
  own.add(commandId)
}

const happenedListeners = new Set<(commandId: string, label: string) => void>()

/** Calls back when something was changed without a request from any page. */
export function onHappened(listener: (commandId: string, label: string) => void): void {
  happenedListeners.add(listener)
}

/** What hardly changes while a page opens. */
const UNCHANGING = new Set(['session', 'calendar'])

let stream: EventSource | undefined

/**
 * Follows the server's stream of changes. What was asked for before it is open is asked for again, at the start as after
 * a break: a change in between has told nobody.
 */
export function followChanges(): void {
  stream?.close()
  const events = new EventSource('/api/live')
  stream = events
  let first = true
  let asked = false
  events.addEventListener('open', () => {
    connected.value = true
    if (asked) {
      return
    }
    asked = true
    const all = !first
    first = false
    void queryClient.invalidateQueries({
      predicate: ({ queryKey }) => all || !UNCHANGING.has(String(queryKey[0])),
    })
  })
  events.addEventListener('changed', (event: MessageEvent<string>) => {
    const changes = JSON.parse(event.data) as { commandId: string; topics: string[] }[]
    reload(changes.filter((each) => !own.delete(each.commandId)).flatMap((each) => each.topics))
  })
  events.addEventListener('happened', (event: MessageEvent<string>) => {
    const { commandId, label } = JSON.parse(event.data) as { commandId: string; label: string }
    happenedListeners.forEach((listener) => {
      listener(commandId, label)
    })
  })
  events.addEventListener('error', () => {
    asked = false
    connected.value = false
    if (events.readyState === EventSource.CLOSED) {
      setTimeout(() => {
        if (stream === events) {
          followChanges()
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
