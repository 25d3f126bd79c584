import { describe, expect, it } from 'vitest'
import type { RoundLine } from '@/api/client'
import { decisions } from '@/round/decisions'
import { aboutLine, addressOfLine, STEPS } from '@/round/steps'

const LINE: RoundLine = {
  key: 'f:1',
  kind: 'FOLLOW_UP',
  id: '1',
  name: 'Send the list',
  who: 'Tilda Brandt',
  what: '',
  title: '',
  at: null,
  day: '2026-03-03',
  threadId: null,
  messageId: null,
  categoryId: null,
  count: 0,
  version: 0,
}
const KINDS: RoundLine['kind'][] = [
  'MESSAGE',
  'FOLLOW_UP',
  'THREAD',
  'PROMISE',
  'MEETING',
  'PERSON',
  'CATEGORY',
  'HABIT_LET_GO',
  'HABIT_FOLLOW_UP',
  'HAND_OVER',
]

describe('A line of the round', () => {
  it('says by its step what its day means', () => {
    expect(aboutLine(LINE, 'LATE')).toContain('was due')
    expect(aboutLine(LINE, 'PUT_OFF')).toContain('back on')
    expect(aboutLine({ ...LINE, kind: 'PERSON', count: 2 }, 'OWED')).toBe('in 2 threads')
  })

  it('leads to the whole of it', () => {
    expect(addressOfLine(LINE)).toBe('/follow-ups/1')
    expect(addressOfLine({ ...LINE, kind: 'PERSON', id: 'a b@x.example' })).toBe(
      '/people/a%20b%40x.example',
    )
    expect(addressOfLine({ ...LINE, kind: 'HABIT_LET_GO', id: 'news@x.example' })).toBe(
      '/settings/recipes?sender=news%40x.example&step=NOTHING',
    )
  })

  it.each(KINDS)('%s can be left as it is, and no two decisions have one key', (kind) => {
    for (const step of Object.keys(STEPS) as (keyof typeof STEPS)[]) {
      const keys = decisions({ ...LINE, kind }, step, () => undefined).map((each) => each.key)
      expect(keys).toContain('stays')
      expect(new Set(keys).size).toBe(keys.length)
    }
  })
})
