import { describe, expect, it } from 'vitest'
import type { IntakeLine } from '@/api/client'
import { alike } from '@/intake/alike'
import { extended, NONE, still, toggled } from '@/ui/picks'

function line(id: string, changed: Partial<IntakeLine> = {}): IntakeLine {
  return {
    id,
    heap: 'TO_READ',
    from: 'Bo',
    party: 'bo@yard.example',
    list: false,
    roomId: null,
    room: null,
    ...changed,
  } as IntakeLine
}

const lines = [
  line('a'),
  line('b', { from: 'Tilda', party: 'tilda@x.example' }),
  line('c', { roomId: '!r', room: 'Slipway', party: '@bo:quay.example' }),
  line('d', { heap: 'AUTOMATIC', party: 'news@x.example', list: true }),
  line('e', { heap: 'AUTOMATIC', party: 'news@x.example', list: true }),
]

describe('picking messages', () => {
  it('takes one and lets it go', () => {
    const one = toggled(NONE, ['b'])
    expect([...one.ids]).toEqual(['b'])
    expect([...toggled(one, ['b']).ids]).toEqual([])
  })

  it('goes on from the last pick in both directions', () => {
    const down = extended(toggled(NONE, ['b']), lines, ['d'])
    expect([...down.ids]).toEqual(['b', 'c', 'd'])
    expect([...extended(down, lines, ['a']).ids].sort()).toEqual(['a', 'b', 'c', 'd'])
    expect([...extended(NONE, lines, ['c']).ids]).toEqual(['c'])
  })

  it('forgets what has left the list', () => {
    const picks = extended(toggled(NONE, ['a']), lines, ['c'])
    expect([...still(picks, lines.slice(1)).ids]).toEqual(['b', 'c'])
    expect(still(picks, lines)).toBe(picks)
  })

  it('finds what a message has in common with others', () => {
    const all = (id: string) => alike(lines, lines.find((each) => each.id === id) ?? line(id))
    expect(all('d').map((way) => [way.label, way.ids])).toEqual([
      ['from the list news@x.example', ['d', 'e']],
      ['of “Automatic”', ['d', 'e']],
    ])
    expect(all('c').map((way) => way.label)).toEqual(['from Bo', 'in Slipway', 'of “To read”'])
    expect(all('a')[0]?.ids).toEqual(['a'])
  })
})
