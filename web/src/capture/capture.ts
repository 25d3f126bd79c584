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
      return { ...item, wanted: item.taken, own: [] }
    }
    const kept = Object.fromEntries(old.own.map((name) => [name, old[name]]))
    const wanted = old.taken === item.taken ? old.wanted : item.taken
    return { ...item, ...kept, wanted, own: old.own }
  })
}

/** A row with a part set by hand. */
export function corrected(row: CaptureRow, changed: Partial<CaptureItem>): CaptureRow {
  const names = Object.keys(changed) as (keyof CaptureItem)[]
  return { ...row, ...changed, own: [...new Set([...row.own, ...names])] }
}

/** A row with something that was offered: it goes out of the title. */
export function accepted(row: CaptureRow, offer: CaptureItem['offers'][number]): CaptureRow {
  const place = row.title.toLowerCase().indexOf(offer.words.toLowerCase())
  const title =
    place < 0
      ? row.title
      : (row.title.slice(0, place) + row.title.slice(place + offer.words.length))
          .replace(/\s+/g, ' ')
          .replace(/[\s,;]+$/, '')
          .replace(/^[\s,;]+/, '')
          .replace(/\s*,(\s*,)+/g, ',')
  const offers = row.offers.filter((each) => each !== offer)
  return corrected(row, {
    title: title === '' ? row.title : title,
    offers,
    ...(offer.kind === 'PLACE'
      ? { place: offer.name }
      : { people: [...row.people, { name: offer.name, address: '' }] }),
  })
}

/** What is to be made of the rows. */
export function followUpsOf(rows: readonly CaptureRow[], note = ''): NewFollowUp[] {
  return rows
    .filter((row) => row.wanted && row.title.trim() !== '')
    .map((row) => ({
      id: newId(),
      sentence: '',
      repeats: row.repeats,
      content: {
        title: row.title,
        replyDay: row.replyDay,
        replyTime: row.replyTime,
        firm: row.firm,
        categoryId: row.categoryId,
        priority: null,
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
