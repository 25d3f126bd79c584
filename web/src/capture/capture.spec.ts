import { describe, expect, it } from 'vitest'
import type { CaptureItem } from '@/api/client'
import { accepted, corrected, followUpsOf, rowsAfter } from '@/capture/capture'

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
    repeats: '',
    steps: ['measure'],
    words: [],
    offers: [],
    taken: true,
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

  it('show lines that were not taken unticked, so that nothing pasted is lost', () => {
    const rows = rowsAfter([item('Act'), { ...item('Talk'), taken: false, why: 'no action' }], [])
    expect(rows.map((row) => row.wanted)).toEqual([true, false])
    expect(followUpsOf(rows).map((each) => each.content.title)).toEqual(['Act'])
  })

  it('take what was offered out of the title', () => {
    const place = { kind: 'PLACE' as const, name: 'clubhouse', words: 'at the clubhouse' }
    const person = { kind: 'PERSON' as const, name: 'Anselm', words: 'with Anselm' }
    const offered = { ...item('Meet, with Anselm, at the clubhouse'), offers: [place, person] }
    const [row] = rowsAfter([offered], [])
    const there = row && accepted(row, place)
    const both = there && accepted(there, person)
    expect(there).toMatchObject({ title: 'Meet, with Anselm', place: 'clubhouse' })
    expect(both).toMatchObject({ title: 'Meet', people: [{ name: 'Anselm', address: '' }] })
    expect(both?.offers).toEqual([])
  })

  it('come back as it was typed, with the note beside it', () => {
    const [row] = rowsAfter([{ ...item('Pump'), repeats: 'every Monday' }], [])
    const made = row && followUpsOf([row], 'by hand')[0]
    expect(made?.repeats).toBe('every Monday')
    expect(made?.content.details?.note).toBe('by hand')
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
