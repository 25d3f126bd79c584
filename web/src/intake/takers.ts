import type { Colleague, Person } from '@/api/client'

const MOST_FOUND = 4
const MOST_NEAREST = 6

/** Somebody to whom something can be handed over, with every name that finds them. */
export interface Taker {
  readonly name: string
  readonly address: string
  /** The account's name and further addresses of a colleague. */
  readonly also: readonly string[]
  /** Why it cannot be they; empty when it can. */
  readonly lacks: string
}

/** Colleagues of the installation first, then those of my mail domains, then the others; each once, without me. */
export function takersOf(
  colleagues: readonly Colleague[],
  people: readonly Person[],
  mine: readonly string[],
): Taker[] {
  const domains = new Set(mine.map((address) => address.split('@')[1]))
  const near = (person: Person) => (domains.has(person.address.split('@')[1]) ? 0 : 1)
  const known = new Set([...mine, ...colleagues.flatMap((colleague) => colleague.addresses)])
  const others = people
    .filter((person) => /^[^@\s]+@/.test(person.address))
    .sort((a, b) => near(a) - near(b))
    .filter((person) => !known.has(person.address) && known.add(person.address))
  return [
    ...colleagues.map((colleague) => ({
      name: colleague.name,
      address: colleague.addresses[0] ?? '',
      also: [colleague.signIn, ...colleague.addresses],
      lacks: colleague.addresses.length
        ? ''
        : `${colleague.name} has connected no mailbox yet, so nothing can be sent there.`,
    })),
    ...others.map((person) => ({ ...person, also: [], lacks: '' })),
  ]
}

/** Those that the typed letters find: whole names and addresses before their parts. */
export function found(takers: readonly Taker[], typed: string): Taker[] {
  const letters = typed.trim().toLowerCase()
  const names = (taker: Taker) =>
    [taker.name, taker.address, ...taker.also].map((name) => name.toLowerCase())
  const exact = takers.filter((taker) => names(taker).includes(letters))
  const partly = takers.filter(
    (taker) => !exact.includes(taker) && names(taker).some((name) => name.includes(letters)),
  )
  return [...exact, ...partly].slice(0, MOST_FOUND)
}

/** Colleagues, and those of my own mail domains: to whom something can be dragged. */
export function nearest(takers: readonly Taker[], mine: readonly string[]): Person[] {
  const domains = new Set(mine.map((address) => address.split('@')[1]))
  return takers
    .filter((taker) => taker.lacks === '')
    .filter((taker) => taker.also.length > 0 || domains.has(taker.address.split('@')[1]))
    .slice(0, MOST_NEAREST)
    .map(({ name, address }) => ({ name, address }))
}

/** Why what was typed leads to nobody. */
export function whyNot(typed: string): string {
  const text = typed.trim()
  if (text === '') {
    return 'Say to whom: a name or a mail address.'
  }
  return text.includes('@')
    ? `“${text}” is no whole mail address.`
    : `Nobody here is called “${text}”. A mail address always works.`
}
