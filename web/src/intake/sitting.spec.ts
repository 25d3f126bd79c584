import { beforeEach, describe, expect, it } from 'vitest'
import { forgetDecided, noteDecided, pace, timeLeft, useSitting } from '@/intake/sitting'

function every(seconds: number, count: number) {
  return Array.from({ length: count }, (_, i) => ({
    commandId: `c${i}`,
    label: '',
    messages: 1,
    at: i * seconds * 1000,
  }))
}

describe('a sitting', () => {
  beforeEach(() => {
    sessionStorage.clear()
  })

  it('says how long the rest takes at this pace', () => {
    expect(timeLeft(60, every(6, 10))).toBe('about 6 min')
    expect(timeLeft(3, every(6, 10))).toBe('about a minute')
    expect(timeLeft(0, every(6, 10))).toBe('')
  })

  it('says nothing before it can', () => {
    expect(pace(every(6, 3))).toBeUndefined()
    expect(timeLeft(60, [])).toBe('')
  })

  it('takes no pause for work', () => {
    const withLunch = [...every(6, 5), { commandId: 'z', label: '', messages: 1, at: 3_600_000 }]
    expect(pace(withLunch)).toBe(6_000)
  })

  it('counts messages, survives a reload and forgets what was taken back', () => {
    noteDecided({ commandId: 'a', label: 'Nothing to do: 12 messages' }, 12, 0)
    noteDecided({ commandId: 'b', label: 'Follow-up: x' }, 1, 1000)
    expect(useSitting().messages).toBe(13)
    expect(JSON.parse(sessionStorage.getItem('squallnote.sitting') ?? '[]')).toHaveLength(2)
    forgetDecided('a')
    expect(useSitting().decided.map((one) => one.commandId)).toEqual(['b'])
  })
})
