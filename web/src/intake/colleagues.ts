import type { Person } from '@/api/client'

const MOST = 6

/** Those of my own mail domains, without me: to whom something can be handed over. */
export function colleagues(people: readonly Person[], mine: readonly string[]): Person[] {
  const domains = new Set(mine.map((address) => address.split('@')[1]))
  return people
    .filter((person) => /^[^@\s]+@/.test(person.address) && !mine.includes(person.address))
    .filter((person) => domains.has(person.address.split('@')[1]))
    .slice(0, MOST)
}
