import type { CaptureItem } from '@/api/client'

/** A stretch of a line, with what it was understood as. */
export interface Stretch {
  text: string
  kind: CaptureItem['words'][number]['kind'] | null
}

/** What stands before a line without belonging to it: white space, the mark of a list. */
const LEAD = /^\s*(?:[-*•·–]\s+|\d{1,3}[.)]\s+)?(?:\[.?\]\s*)?/

/**
 * The line cut where its understood words begin and end. While the line is ahead of its reading, only those words are
 * marked that stand before the first change.
 */
export function stretchesOf(text: string, read: string, words: CaptureItem['words']): Stretch[] {
  const lead = LEAD.exec(read)?.[0].length ?? 0
  const same = sameUntil(text, read)
  const stretches: Stretch[] = []
  let from = 0
  for (const one of [...words].sort((a, b) => a.fromInclusive - b.fromInclusive)) {
    const start = lead + one.fromInclusive
    const end = lead + one.toExclusive
    if (start < from || end > same) {
      continue
    }
    stretches.push({ text: text.slice(from, start), kind: null })
    stretches.push({ text: text.slice(start, end), kind: one.kind })
    from = end
  }
  stretches.push({ text: text.slice(from), kind: null })
  return stretches.filter((stretch) => stretch.text !== '')
}

function sameUntil(a: string, b: string): number {
  let i = 0
  while (i < a.length && i < b.length && a[i] === b[i]) {
    i++
  }
  return i
}
