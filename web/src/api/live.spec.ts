import { QueryObserver } from '@tanstack/vue-query'
import { flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { followChanges, isOwn, listen, reloadAll, stopFollowing } from '@/api/live'
import { queryClient } from '@/api/queries'

class Stream extends EventTarget {
  static readonly CLOSED = 2
  static last?: Stream
  readyState = 1
  constructor() {
    super()
    Stream.last = this
  }
  close(): void {
    this.readyState = Stream.CLOSED
  }
  says(changes: { commandId: string; topics: string[] }[]): void {
    this.dispatchEvent(new MessageEvent('changed', { data: JSON.stringify(changes) }))
  }
}

/** How often each query was asked, all of them shown on the page. */
const asked: Record<string, number> = {}
const watched: (() => void)[] = []

/** Shows something; what it answers comes when the test says so, or at once. */
function show(name: string, answer: () => Promise<string> = () => Promise.resolve(name)): void {
  const observer = new QueryObserver(queryClient, {
    queryKey: [name],
    staleTime: Infinity,
    queryFn: () => {
      asked[name] = (asked[name] ?? 0) + 1
      return answer()
    },
  })
  watched.push(observer.subscribe(() => undefined))
}

async function shown(...names: string[]): Promise<void> {
  names.forEach((name) => {
    show(name)
  })
  await flushPromises()
  names.forEach((name) => (asked[name] = 0))
}

function askedAgain(): string[] {
  return Object.entries(asked)
    .filter(([, times]) => times > 0)
    .map(([name, times]) => (times === 1 ? name : `${name} ${String(times)} times`))
}

beforeEach(() => {
  vi.stubGlobal('EventSource', Stream)
  followChanges()
})
afterEach(() => {
  stopFollowing()
  watched.splice(0).forEach((stop) => {
    stop()
  })
  queryClient.clear()
  Object.keys(asked).forEach((name) => Reflect.deleteProperty(asked, name))
  vi.unstubAllGlobals()
})

const CHANGED = [{ commandId: 'theirs', topics: ['SOURCES'] }]

describe('what changes elsewhere', () => {
  it('is asked for again, once whatever says so', async () => {
    listen({ CATEGORIES: ['of-a-view'] })
    await shown('categories', 'of-a-view', 'sources', 'phrases')
    Stream.last?.says([
      { commandId: 'theirs', topics: ['CATEGORIES'] },
      { commandId: 'another', topics: ['CATEGORIES', 'SOURCES'] },
    ])
    await flushPromises()
    expect(askedAgain()).toEqual(['categories', 'of-a-view', 'sources'])
  })

  it('is not asked for twice when this page has changed it', async () => {
    await shown('categories', 'sources')
    isOwn('mine')
    Stream.last?.says([{ commandId: 'mine', topics: ['CATEGORIES'] }, ...CHANGED])
    await flushPromises()
    expect(askedAgain()).toEqual(['sources'])
  })

  it('is asked for once more when it was being asked for the first time', async () => {
    const answers: ((value: string) => void)[] = []
    show('sources', () => new Promise((resolve) => answers.push(resolve)))
    Stream.last?.says(CHANGED)
    await flushPromises()
    expect(asked.sources).toBe(1)
    answers[0]?.('from before the change')
    await flushPromises()
    expect(asked.sources).toBe(2)
    answers[1]?.('new')
    await flushPromises()
    expect(queryClient.getQueryData(['sources'])).toBe('new')
    expect(asked.sources).toBe(2)
  })

  it('may be everything after a break, also one that ended the stream', async () => {
    await shown('session', 'sources')
    Stream.last?.dispatchEvent(new Event('error'))
    Stream.last?.dispatchEvent(new Event('open'))
    Stream.last?.dispatchEvent(new Event('open'))
    await flushPromises()
    expect(askedAgain()).toEqual(['session', 'sources'])
  })

  it('may be anything after a change that nobody knows the end of', async () => {
    await shown('categories', 'sources', 'outbox', 'history', 'session')
    reloadAll()
    await flushPromises()
    expect(askedAgain()).toEqual(['categories', 'sources', 'outbox', 'history', 'session'])
  })

  it('is asked for once the stream is open, since nobody told of it before', async () => {
    await shown('session', 'sources')
    Stream.last?.dispatchEvent(new Event('open'))
    Stream.last?.dispatchEvent(new Event('open'))
    await flushPromises()
    expect(askedAgain()).toEqual(['sources'])
  })
})
