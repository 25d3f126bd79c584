import scripts from '../../../docs/scripts.md?raw'

/** A how-to. */
export interface Topic {
  /** Its part of the address. */
  readonly slug: string
  readonly title: string
  /** Where in the application it is done; absent where that is everywhere. */
  readonly to?: string
  /** CommonMark. */
  readonly text: string
}

const files = import.meta.glob<string>('./topics/*.md', {
  query: '?raw',
  import: 'default',
  eager: true,
})

/** Reads a how-to: a heading, the address where it is done, and the text. */
export function topicOf(path: string, file: string): Topic {
  const [heading = '', ...lines] = file.split('\n')
  const first = lines.findIndex((line) => line.trim() !== '')
  const said = lines[first]?.trim() ?? ''
  const to = said.startsWith('/') ? said : undefined
  return {
    slug: path.replace(/^.*\/\d+-|\.md$/g, ''),
    title: heading.replace(/^#\s*/, ''),
    ...(to === undefined ? {} : { to }),
    text: lines
      .slice(to === undefined ? 0 : first + 1)
      .join('\n')
      .trim(),
  }
}

/** What whoever writes a script reads in the repository stands here too, where they have the token. */
function withExamples(path: string, file: string): string {
  return path.endsWith('-scripts.md')
    ? file + scripts.replace(/^# .*/, '').replace('[openapi.json](openapi.json)', '_openapi.json_')
    : file
}

/** All how-tos in their order. */
export const TOPICS: readonly Topic[] = Object.entries(files)
  .sort(([one], [other]) => one.localeCompare(other))
  .map(([path, file]) => topicOf(path, withExamples(path, file)))

/** Those in which all words begin some word, those with them in their titles first. */
export function topicsWith(words: string, topics: readonly Topic[] = TOPICS): Topic[] {
  const wanted = wordsOf(words)
  const hits = (text: string) => {
    const there = wordsOf(text)
    return wanted.filter((word) => there.some((each) => each.startsWith(word))).length
  }
  return topics
    .map((topic) => ({
      topic,
      title: hits(topic.title),
      all: hits(`${topic.title} ${topic.text}`),
    }))
    .filter(({ all }) => all === wanted.length)
    .sort((one, other) => other.title - one.title)
    .map(({ topic }) => topic)
}

function wordsOf(text: string): string[] {
  return text
    .toLowerCase()
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .split(/[^\p{L}\p{N}]+/u)
    .filter((word) => word !== '')
}
