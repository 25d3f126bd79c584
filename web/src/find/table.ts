import type { FoundThing, ListForm } from '@/api/client'
import { sortOf, stateOf } from '@/find/narrowing'
import { moment } from '@/ui/time'

/** What was found as it is seen, for other people and programs. */
export function tableOf(words: string, things: readonly FoundThing[]): ListForm {
  return {
    title: words.trim() === '' ? 'Found' : `Found: ${words.trim().slice(0, 150)}`,
    words: '',
    heading: ['What', 'Title', 'Who', 'When', 'State', 'Sentence'],
    groups: [
      {
        title: '',
        rows: things.map((thing) => [
          sortOf(thing),
          thing.title,
          thing.who,
          moment(thing.at),
          stateOf(thing),
          thing.snippet,
        ]),
      },
    ],
  }
}
