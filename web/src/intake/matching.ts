import type { FollowUpLine } from '@/api/client'

const MOST = 6

/** Open follow-ups whose title or person has all the words, those of the thread first, without those linked already. */
export function matching(
  open: readonly FollowUpLine[],
  text: string,
  ofThread: ReadonlySet<string>,
  linked: ReadonlySet<string>,
): FollowUpLine[] {
  const words = text.toLowerCase().split(/\s+/).filter(Boolean)
  const found = open.filter((line) => {
    const where = `${line.title} ${line.from ?? ''}`.toLowerCase()
    return !linked.has(line.id) && words.every((word) => where.includes(word))
  })
  const here = found.filter((line) => ofThread.has(line.id))
  return [...here, ...found.filter((line) => !ofThread.has(line.id))].slice(0, MOST)
}
