import { describe, expect, it } from 'vitest'
import { ref } from 'vue'
import { meant, mentionAt, useMentions } from '@/intake/mentions'

const BO = { name: 'Bo Lindgren', address: '@bo:quay.example' }
const TILDA = { name: 'Tilda Brandt', address: '@tilda:quay.example' }
const PEOPLE = [BO, TILDA]

describe('mentions', () => {
  it('begin behind an @ that is not part of an address', () => {
    expect(mentionAt('@', 1)).toEqual({ from: 0, letters: '' })
    expect(mentionAt('ask @til', 8)).toEqual({ from: 4, letters: 'til' })
    expect(mentionAt('ask @tilda br', 13)).toEqual({ from: 4, letters: 'tilda br' })
    expect(mentionAt('bo@quay', 7)).toBeUndefined()
    expect(mentionAt('ask @tilda about it', 19)).toBeUndefined()
  })

  it('find people by any word of their name and by their id', () => {
    expect(meant(PEOPLE, 'bra')).toEqual([TILDA])
    expect(meant(PEOPLE, 'bo l')).toEqual([BO])
    expect(meant(PEOPLE, 'tilda:q')).toEqual([TILDA])
    expect(meant(PEOPLE, '')).toEqual(PEOPLE)
    expect(meant(PEOPLE, 'x')).toEqual([])
  })

  it('are marked by arrows and taken by Enter, which then sends nothing', () => {
    const area = document.createElement('textarea')
    area.value = 'ask @'
    area.setSelectionRange(5, 5)
    const text = ref('ask @')
    const mentions = useMentions(text, ref(area), ref(PEOPLE))
    mentions.look()
    expect(mentions.offered.value).toEqual(PEOPLE)
    mentions.onKey(new KeyboardEvent('keydown', { key: 'ArrowDown' }))
    const enter = new KeyboardEvent('keydown', { key: 'Enter', cancelable: true })
    mentions.onKey(enter)
    expect(enter.defaultPrevented).toBe(true)
    expect(text.value).toBe('ask @Tilda Brandt ')
    expect(mentions.offered.value).toEqual([])
  })

  it('leave keys alone where nobody is on offer', () => {
    const mentions = useMentions(ref('hello'), ref(null), ref(PEOPLE))
    const escape = new KeyboardEvent('keydown', { key: 'Escape', cancelable: true })
    mentions.onKey(escape)
    expect(escape.defaultPrevented).toBe(false)
  })
})
