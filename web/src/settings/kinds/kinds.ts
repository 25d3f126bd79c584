import type { Component } from 'vue'
import type { SourceView } from '@/api/client'

/** A kind of source, as the settings need it. */
export interface SourceKind {
  kind: SourceView['kind']
  /** Where it stands among those that can be added. */
  order: number
  /** What one of them is called, with its article. */
  name: string
  icon: Component
  /** The settings of a connected source, or of a new one where none is given; says when it is done. */
  settings: Component
}

/** Describes a kind, in the file `kind.ts` of its folder. */
export function defineKind(kind: SourceKind): SourceKind {
  return kind
}

const found = import.meta.glob<{ default: SourceKind }>('./*/kind.ts', { eager: true })

/** The kinds that can be connected, one for each folder here. */
export const KINDS: readonly SourceKind[] = Object.values(found)
  .map((module) => module.default)
  .sort((a, b) => a.order - b.order)
