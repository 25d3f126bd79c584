import type { Mark } from '@/api/client'

/** A stretch of a text with what was found in it. */
export interface TextPart {
  text: string
  kind: 'plain' | 'link'
  /** The sentence it belongs to: an ask, a promise, a hint. */
  sentence?: Mark
  /** The date it belongs to. */
  date?: Mark
}

const LINK = /https?:\/\/[^\s<>"')\]]+[^\s<>"')\].,;:!?]/g

function withLinks(part: TextPart): TextPart[] {
  const parts: TextPart[] = []
  const { text } = part
  let end = 0
  for (const match of text.matchAll(LINK)) {
    if (match.index > end) {
      parts.push({ ...part, text: text.slice(end, match.index) })
    }
    parts.push({ ...part, text: match[0], kind: 'link' })
    end = match.index + match[0].length
  }
  if (end < text.length) {
    parts.push({ ...part, text: text.slice(end) })
  }
  return parts
}

/** Cuts a text where marks begin and end and where links are. */
export function textParts(text: string, marks: readonly Mark[]): TextPart[] {
  const cuts = new Set([0, text.length])
  for (const mark of marks) {
    cuts.add(Math.min(mark.from, text.length))
    cuts.add(Math.min(mark.to, text.length))
  }
  const places = [...cuts].sort((a, b) => a - b)
  return places.slice(0, -1).flatMap((from, i) => {
    const to = places[i + 1] ?? text.length
    const covering = marks.filter((mark) => mark.from <= from && to <= mark.to)
    const sentence = covering.find((mark) => mark.kind !== 'DATE')
    const date = covering.find((mark) => mark.kind === 'DATE')
    return withLinks({
      text: text.slice(from, to),
      kind: 'plain',
      ...(sentence ? { sentence } : {}),
      ...(date ? { date } : {}),
    })
  })
}
