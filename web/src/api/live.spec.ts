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

const asked: string[] = []
const predicates: ((query: { queryKey: string[] }) => boolean)[] = []
beforeEach(() => {
  vi.stubGlobal('EventSource', Stream)
  vi.spyOn(queryClient, 'invalidateQueries').mockImplementation(((filter?: {
    queryKey?: string[]
    predicate?: (query: { queryKey: string[] }) => boolean
  }) => {
    predicates.push(filter?.predicate ?? (() => true))
    asked.push(...(filter?.queryKey ?? ['everything']))
    return Promise.resolve()
  }) as never)
  followChanges()
})
afterEach(() => {
  stopFollowing()
  asked.length = 0
  vi.unstubAllGlobals()
  vi.restoreAllMocks()
})

describe('what changes elsewhere', () => {
  it('is asked for again, once whatever says so', () => {
    listen({ CATEGORIES: ['of-a-view'] })
    Stream.last?.says([
      { commandId: 'theirs', topics: ['CATEGORIES'] },
      { commandId: 'another', topics: ['CATEGORIES', 'SOURCES'] },
    ])
    expect(asked).toEqual(['categories', 'of-a-view', 'sources'])
  })

  it('is not asked for twice when this page has changed it', () => {
    isOwn('mine')
    Stream.last?.says([
      { commandId: 'mine', topics: ['CATEGORIES'] },
      { commandId: 'theirs', topics: ['SOURCES'] },
    ])
    expect(asked).toEqual(['sources'])
  })

  it('may be everything after a break', () => {
    Stream.last?.dispatchEvent(new Event('error'))
    Stream.last?.dispatchEvent(new Event('open'))
    expect(asked).toEqual(['everything'])
  })

  it('may be anything after a change that nobody knows the end of', () => {
    reloadAll()
    expect(asked).toEqual(expect.arrayContaining(['categories', 'sources', 'outbox', 'history']))
  })

  it('is asked for again once the stream is open, since nobody told of it before', () => {
    Stream.last?.dispatchEvent(new Event('open'))
    expect(asked).toEqual(['everything'])
    const concerns = (name: string) => predicates.at(-1)?.({ queryKey: [name] })
    expect(concerns('intake')).toBe(true)
    expect(concerns('session')).toBe(false)
  })
})
