import type { Component } from 'vue'

/** A key of a view with what it does; another one can be chosen for it where it is a letter or a digit. */
export interface ViewKey {
  key: string
  does: string
  /** Whether the shift key belongs to it; either way when left out. */
  shift?: boolean
}

/** A view: everything that the rest of the page knows of it. */
export interface View {
  name: string
  /** What it is for, in a sentence. */
  about: string
  /** Where it stands among the others in the bar. */
  order: number
  /** The pattern of its addresses, the first part being its own. */
  path: string
  /** The key that leads to it from everywhere. */
  key?: string
  /** Whether the bar leads to it; on a narrow page there is room for fewer, and the account's menu leads to the others. */
  inBar: boolean | 'wide'
  component: () => Promise<{ default: Component }>
  /** What its keys do, by a name of their own. */
  keys: Readonly<Record<string, ViewKey>>
  /** What it shows of each topic of the live stream, by the names of its queries. */
  listens: Readonly<Record<string, readonly string[]>>
  /** The features whose parts it uses, besides those that all may use. */
  uses: readonly string[]
}

/** Describes a view, in the file `view.ts` of its folder. */
export function defineView<const V extends View>(view: V): V {
  return view
}

/** The address that leads to a view. */
export function addressOf(view: View): string {
  return `/${view.path.split('/')[1] ?? ''}`
}

const found = import.meta.glob<{ default: View }>('../*/view.ts', { eager: true })

/** All views in their order: each folder with a `view.ts` is one. */
export const VIEWS: readonly View[] = Object.values(found)
  .map((each) => each.default)
  .sort((one, other) => one.order - other.order)
