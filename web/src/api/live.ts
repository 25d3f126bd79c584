import type { Query } from '@tanstack/vue-query'
import { defineStore } from 'pinia'
import { queryClient } from '@/api/queries'

/** How this page hears of changes. */
export const useLive = defineStore('live', {
  state: () => ({
    /** Whether changes made elsewhere reach this page. */
    connected: true,
    /** Whether the stream was lost, so that nothing known is sure any more. */
    broken: false,
    /** Changes that this page has made: it loads again what they touched when they are answered. */
    own: new Set<string>(),
  }),
})

/** What more than one view shows of a topic, by the names of the queries. */
const SHARED: Readonly<Record<string, readonly string[]>> = {
  INTAKE: ['history'],
  FOLLOW_UPS: ['day', 'message', 'history', 'reminders'],
  THREADS: ['history'],
  CATEGORIES: ['categories'],
  SOURCES: ['sources'],
  OUTBOX: ['outbox'],
  READING: ['reading', 'message', 'calendar'],
  REMINDERS: ['reminders', 'reminders-of'],
  SETTINGS: ['reminder-wishes', 'phrases', 'recipes', 'preferences', 'calendar', 'session'],
}

const listening: Readonly<Record<string, readonly string[]>>[] = [SHARED]

/** Adds what a view shows of the topics. */
export function listen(topics: Readonly<Record<string, readonly string[]>>): void {
  listening.push(topics)
}

/**
 * Asks again for what is shown. What is being asked for the first time is asked for once more when that is answered: its
 * answer may be from before the change, and the query library would take it for the new one.
 */
function askAgain(concerns: (query: Query) => boolean): void {
  const first = queryClient
    .getQueryCache()
    .findAll({ fetchStatus: 'fetching', predicate: concerns })
    .filter((query) => query.state.data === undefined)
  for (const query of first) {
    const once = () => void queryClient.invalidateQueries({ queryKey: query.queryKey, exact: true })
    query.promise?.then(once, once)
  }
  void queryClient.invalidateQueries({ predicate: concerns })
}

/** Asks again for everything that the named topics show. */
export function reload(topics: string[]): void {
  const names = new Set(topics.flatMap((topic) => listening.flatMap((each) => each[topic] ?? [])))
  if (names.size > 0) {
    askAgain(({ queryKey }) => names.has(String(queryKey[0])))
  }
}

/** Asks again for everything that changes can touch: after a change that may or may not have been made. */
export function reloadAll(): void {
  reload([...new Set(listening.flatMap((each) => Object.keys(each)))])
}

/** Notes a change that this page makes, before it is sent. */
export function isOwn(commandId: string): void {
  useLive().own.add(commandId)
}

const happenedListeners = new Set<(commandId: string, label: string, undoable: boolean) => void>()

/** Calls back when something was changed without a request from any page. */
export function onHappened(
  listener: (commandId: string, label: string, undoable: boolean) => void,
): void {
  happenedListeners.add(listener)
}

/** The connection itself, of which a window has one whoever is signed in. */
let stream: EventSource | undefined

/**
 * Follows the server's stream of changes. What was asked for before it is open is asked for again, at the start as after
 * a break: a change in between has told nobody.
 */
export function followChanges(): void {
  stream?.close()
  const events = new EventSource('/api/live')
  stream = events
  const live = useLive()
  // The server's first event bears the same name as the opening itself.
  let asked = false
  events.addEventListener('open', () => {
    live.connected = true
    if (!asked) {
      const all = live.broken
      asked = true
      live.broken = false
      askAgain(({ queryKey }) => all || queryKey[0] !== 'session')
    }
  })
  events.addEventListener('changed', (event: MessageEvent<string>) => {
    const changes = JSON.parse(event.data) as { commandId: string; topics: string[] }[]
    reload(
      changes.filter((each) => !live.own.delete(each.commandId)).flatMap((each) => each.topics),
    )
  })
  events.addEventListener('happened', (event: MessageEvent<string>) => {
    const { commandId, label, undoable } = JSON.parse(event.data) as {
      commandId: string
      label: string
      undoable: boolean
    }
    happenedListeners.forEach((listener) => {
      listener(commandId, label, undoable)
    })
  })
  events.addEventListener('error', () => {
    asked = false
    live.broken = true
    live.connected = false
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
  useLive().broken = false
}
