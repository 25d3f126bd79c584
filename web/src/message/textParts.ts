/** A stretch of a text, to be shown plainly or marked. */
export interface TextPart {
  text: string
  kind: 'plain' | 'ask' | 'link'
}

const LINK = /https?:\/\/[^\s<>"')\]]+[^\s<>"')\].,;:!?]/g

function withLinks(text: string): TextPart[] {
  const parts: TextPart[] = []
  let end = 0
  for (const match of text.matchAll(LINK)) {
    if (match.index > end) {
      parts.push({ text: text.slice(end, match.index), kind: 'plain' })
    }
    parts.push({ text: match[0], kind: 'link' })
    end = match.index + match[0].length
  }
  if (end < text.length) {
    parts.push({ text: text.slice(end), kind: 'plain' })
  }
  return parts
}

/** Where the ask stands in the text; white space in it may be written in any way. */
export function findAsk(text: string, ask: string | null): [number, number] | undefined {
  if (!ask) {
    return undefined
  }
  let start = 0
  const words = ask.split(/\s+/)
  for (;;) {
    const at = text.indexOf(words[0] ?? '', start)
    if (at < 0) {
      return undefined
    }
    let end = at
    const fits = words.every((word, i) => {
      if (i > 0) {
        const space = /^\s+/.exec(text.slice(end))
        end += space ? space[0].length : 0
      }
      const found = text.startsWith(word, end)
      end += word.length
      return found
    })
    if (fits) {
      return [at, end]
    }
    start = at + 1
  }
}

/** Cuts a text into what is plain, what asks and what is a link. */
export function textParts(text: string, ask: string | null): TextPart[] {
  const found = findAsk(text, ask)
  if (!found) {
    return withLinks(text)
  }
  const [start, end] = found
  return [
    ...withLinks(text.slice(0, start)),
    { text: text.slice(start, end), kind: 'ask' },
    ...withLinks(text.slice(end)),
  ]
}
