import type { LocationQuery, LocationQueryRaw } from 'vue-router'
import type { FoundThing, SearchFilter, SearchQuery } from '@/api/client'

/** What narrows a search, as it stands in the address of the page, so that *back* comes back to it. */
export const NOTHING: SearchFilter = {
  kind: null,
  person: null,
  categoryId: null,
  sourceId: null,
  roomId: null,
  standing: null,
  fromDay: null,
  toDay: null,
  withFile: null,
  linked: null,
}

export const KINDS: Record<NonNullable<SearchFilter['kind']>, string> = {
  MESSAGE: 'Messages',
  FOLLOW_UP: 'Follow-ups',
  PERSON: 'People',
  FILE: 'Files',
}

export const STANDINGS: Record<NonNullable<SearchFilter['standing']>, string> = {
  UNDECIDED: 'in Intake',
  OPEN: 'open follow-ups',
  ENDED: 'ended follow-ups',
  DECIDED: 'decided messages',
}

const SORTS: Record<FoundThing['kind'], string> = {
  MESSAGE: 'Message',
  THREAD: 'Thread',
  FOLLOW_UP: 'Follow-up',
  PERSON: 'Person',
  FILE: 'File',
}

/** What a result is, in a word. */
export function sortOf(thing: FoundThing): string {
  return SORTS[thing.kind]
}

const STATES: Record<FoundThing['state'], string> = {
  IN_INTAKE: 'in Intake',
  WITH_ME: 'with me',
  WITH_OTHERS: 'with others',
  CLOSED: 'closed',
  OPEN: 'open',
  DONE: 'done',
  DROPPED: 'dropped',
  NONE: '',
}

/** How a result stands now, in a word. */
export function stateOf(thing: FoundThing): string {
  return STATES[thing.state]
}

function text(value: LocationQuery[string] | undefined): string | null {
  return typeof value === 'string' && value !== '' ? value : null
}

function yesOrNo(value: LocationQuery[string] | undefined): boolean | null {
  return value === 'yes' ? true : value === 'no' ? false : null
}

function among<K extends string>(value: string | null, all: Record<K, string>): K | null {
  return value !== null && value in all ? (value as K) : null
}

/** What the address says. */
export function filterOf(query: LocationQuery): SearchFilter {
  return {
    kind: among(text(query.kind), KINDS),
    person: text(query.person),
    categoryId: text(query.category),
    sourceId: text(query.source),
    roomId: text(query.room),
    standing: among(text(query.standing), STANDINGS),
    fromDay: text(query.from),
    toDay: text(query.to),
    withFile: yesOrNo(query.file),
    linked: yesOrNo(query.linked),
  }
}

/** By which name each is said, in the address of the page and to the server. */
const NAMES = {
  kind: 'kind',
  person: 'person',
  categoryId: 'category',
  sourceId: 'source',
  roomId: 'room',
  standing: 'standing',
  fromDay: 'from',
  toDay: 'to',
  withFile: 'file',
  linked: 'linked',
} as const satisfies Record<keyof SearchFilter, string>

/** What is chosen, by those names. */
function chosen(filter: SearchFilter): [string, string | boolean][] {
  return Object.entries(NAMES).flatMap(([field, name]) => {
    const value = filter[field as keyof SearchFilter]
    return value === null ? [] : [[name, value] as [string, string | boolean]]
  })
}

/** The address that says it. */
export function addressOf(words: string, filter: SearchFilter, newest: boolean): LocationQueryRaw {
  return Object.fromEntries([
    ...(words === '' ? [] : [['q', words]]),
    ...chosen(filter).map(([name, value]) => [
      name,
      typeof value === 'string' ? value : value ? 'yes' : 'no',
    ]),
    ...(newest ? [['order', 'newest']] : []),
  ]) as LocationQueryRaw
}

/** What is asked of the server. */
export function requestOf(
  words: string,
  filter: SearchFilter,
  newest: boolean,
  most: number,
): SearchQuery {
  return { q: words, ...Object.fromEntries(chosen(filter)), newest, most }
}

/** Where a result is opened. */
export function placeOf(thing: FoundThing): string {
  switch (thing.kind) {
    case 'FOLLOW_UP':
      return `/follow-ups/${thing.id}`
    case 'PERSON':
      return `/people/${encodeURIComponent(thing.id)}`
    default:
      return thing.state === 'IN_INTAKE'
        ? `/intake/${thing.messageId ?? ''}`
        : `/threads/${thing.threadId ?? ''}?message=${thing.messageId ?? ''}`
  }
}

/** A text in pieces, those that were looked for marked. */
export function pieces(
  of: string,
  hits: readonly { from: number; to: number }[],
): { text: string; hit: boolean }[] {
  const all: { text: string; hit: boolean }[] = []
  let at = 0
  for (const { from, to } of hits) {
    all.push({ text: of.slice(at, from), hit: false }, { text: of.slice(from, to), hit: true })
    at = to
  }
  all.push({ text: of.slice(at), hit: false })
  return all.filter((piece) => piece.text !== '')
}

/** Whether anything narrows. */
export function narrows(filter: SearchFilter): boolean {
  return Object.values(filter).some((value) => value !== null)
}
