import { newId, type Details, type NewFollowUp, type Proposal } from '@/api/client'

/** One thing that a message asks, as the follow-up it would become. */
export interface AskRow {
  wanted: boolean
  sentence: string
  title: string
  replyDay: string | null
  replyTime: string | null
  firm: boolean
  forReply: boolean
}

export function rowsOf(proposals: readonly Proposal[]): AskRow[] {
  return proposals.map((one) => ({
    wanted: true,
    sentence: one.sentence,
    title: one.title,
    replyDay: one.replyBy,
    replyTime: one.replyTime,
    firm: one.firm,
    forReply: one.forReply,
  }))
}

/** The follow-ups of the wanted rows, all with the same category, effort and details, and the same rhythm. */
export function madeOf(
  rows: readonly AskRow[],
  shared: {
    categoryId: string | null
    effortMinutes: number | null
    priority: Proposal['priority']
    details: Details
  },
  repeats = '',
): NewFollowUp[] {
  return rows
    .filter((row) => row.wanted && row.title.trim() !== '')
    .map((row) => ({
      id: newId(),
      sentence: row.sentence,
      repeats,
      content: {
        title: row.title,
        replyDay: row.replyDay,
        replyTime: row.replyTime,
        firm: row.firm,
        forReply: row.forReply,
        ...shared,
      },
    }))
}
