import { newId, type CaptureItem, type NewFollowUp } from '@/api/client'

/** A captured line as it will be made, after what was corrected by hand. */
export interface CaptureRow extends CaptureItem {
  wanted: boolean
  /** Names of the parts that were set by hand and stay when the line is read again. */
  own: (keyof CaptureItem)[]
}

/** The rows for what was read; what was corrected by hand in a row before stays. */
export function rowsAfter(
  items: readonly CaptureItem[],
  before: readonly CaptureRow[],
): CaptureRow[] {
  return items.map((item, i) => {
    const old = before[i]
    if (!old) {
      return { ...item, wanted: true, own: [] }
    }
    const kept = Object.fromEntries(old.own.map((name) => [name, old[name]]))
    return { ...item, ...kept, wanted: old.wanted, own: old.own }
  })
}

/** A row with a part set by hand. */
export function corrected(row: CaptureRow, changed: Partial<CaptureItem>): CaptureRow {
  const names = Object.keys(changed) as (keyof CaptureItem)[]
  return { ...row, ...changed, own: [...new Set([...row.own, ...names])] }
}

/** What is to be made of the rows. */
export function followUpsOf(rows: readonly CaptureRow[], note = ''): NewFollowUp[] {
  return rows
    .filter((row) => row.wanted && row.title.trim() !== '')
    .map((row) => ({
      id: newId(),
      sentence: '',
      content: {
        title: row.title,
        replyDay: row.replyDay,
        replyTime: row.replyTime,
        firm: row.firm,
        categoryId: row.categoryId,
        effortMinutes: row.effortMinutes,
        forReply: false,
        details: {
          startDay: null,
          place: row.place,
          people: row.people,
          checklist: row.steps.map((text) => ({ text: text.slice(0, 500), done: false })),
          note,
        },
      },
    }))
}
