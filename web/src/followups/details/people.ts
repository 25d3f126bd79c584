import type { FollowUpLine, Person } from '@/api/client'

const MOST_OFFERED = 6

function same(one: Person, other: Person): boolean {
  return one.address === other.address && (one.address !== '' || one.name === other.name)
}

/** Somebody named by what was typed: an address, or only a name. */
export function personFrom(typed: string): Person | undefined {
  const text = typed.trim()
  if (text === '') {
    return undefined
  }
  return text.includes('@') ? { name: '', address: text } : { name: text, address: '' }
}

/** Those who can be added: known, not there yet, with the typed letters in name or address. */
export function suggested(
  known: readonly Person[],
  there: readonly Person[],
  typed: string,
): Person[] {
  const letters = typed.trim().toLowerCase()
  const found: Person[] = []
  for (const person of known) {
    const fits = `${person.name} ${person.address}`.toLowerCase().includes(letters)
    if (fits && ![...there, ...found].some((each) => same(each, person))) {
      found.push(person)
    }
    if (found.length === MOST_OFFERED) {
      break
    }
  }
  return found
}

/** Everybody whom the follow-ups name. */
export function peopleOf(lines: readonly FollowUpLine[]): Person[] {
  return lines.flatMap((line) => line.people)
}

/** The places that the follow-ups name, the most frequent first. */
export function placesOf(lines: readonly FollowUpLine[]): string[] {
  const counts = new Map<string, number>()
  for (const line of lines) {
    if (line.place !== '') {
      counts.set(line.place, (counts.get(line.place) ?? 0) + 1)
    }
  }
  return [...counts].sort((a, b) => b[1] - a[1]).map(([place]) => place)
}
