import { describe, expect, it } from 'vitest'
import type { CaptureItem } from '@/api/client'
import { corrected, followUpsOf, rowsAfter } from '@/capture/capture'

function item(title: string, replyDay: string | null = null): CaptureItem {
  return {
    title,
    replyDay,
    replyTime: null,
    firm: false,
    effortMinutes: null,
    categoryId: null,
    people: [],
    place: '',
    steps: ['measure'],
    words: [],
    why: '',
  }
}

describe('captured rows', () => {
  it('keep what was corrected by hand while the line goes on', () => {
    const first = rowsAfter([item('Call', '2026-03-06')], [])
    const byHand = first.map((row) => corrected(row, { replyDay: '2026-03-09' }))
    const [later] = rowsAfter([item('Call the crane firm', '2026-03-06')], byHand)
    expect(later?.title).toBe('Call the crane firm')
    expect(later?.replyDay).toBe('2026-03-09')
  })

  it('become follow-ups, those left out and those without words do not', () => {
    const rows = rowsAfter([item('One'), item('Two'), item(' ')], [])
    const made = followUpsOf(
      rows.map((row, i) => ({ ...row, wanted: i !== 1 })),
      'https://quay.example',
    )
    expect(made.map((each) => each.content.title)).toEqual(['One'])
    expect(made[0]?.content.details?.checklist).toEqual([{ text: 'measure', done: false }])
    expect(made[0]?.content.details?.note).toBe('https://quay.example')
  })
})
