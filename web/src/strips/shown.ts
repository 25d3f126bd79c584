import type { FollowUpFacet } from '@/api/client'

/** What a strip beside the mail shows. */
export type Shown =
  | { kind: 'plan' }
  | { kind: 'group'; facet: FollowUpFacet; key: string; name: string }
  | { kind: 'person'; id: string; name: string }
  | { kind: 'search'; id: string; name: string }

/** One line of a strip; where it leads. */
export interface StripRow {
  readonly key: string
  readonly title: string
  readonly beside: string
  readonly to: string
}

/** What is dragged from the mail onto a strip. */
export interface Dragged {
  readonly id: string
  /** What it is about. */
  readonly text: string
}

/** What a strip makes of messages that are let go on it. */
export type StripDrop =
  | { kind: 'day'; day: string }
  | { kind: 'category'; categoryId: string }
  | { kind: 'talk'; id: string }

export function nameOf(shown: Shown): string {
  return shown.kind === 'plan' ? 'Today’s plan' : shown.name
}

/** One shown thing as a word, to be chosen in a list. */
export function valueOf(shown: Shown): string {
  switch (shown.kind) {
    case 'plan':
      return 'plan'
    case 'group':
      return `group ${shown.facet} ${shown.key}`
    default:
      return `${shown.kind} ${shown.id}`
  }
}
