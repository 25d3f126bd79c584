import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import { defineComponent, h, nextTick, ref } from 'vue'
import { useSwipedRow } from '@/intake/useSwipedRow'

async function swipe(...moves: [number, number][]): Promise<string[]> {
  const decided: string[] = []
  const List = defineComponent({
    setup() {
      const list = ref<HTMLElement>()
      useSwipedRow(list, (key, side) => decided.push(`${key} ${side}`))
      return () => h('div', { ref: list }, [h('p', { 'data-message': 'a' })])
    },
  })
  const page = mount(List, { attachTo: document.body })
  await nextTick()
  const row = page.get('p').element
  const send = (type: string, x: number, y: number) =>
    row.dispatchEvent(
      new PointerEvent(type, { pointerType: 'touch', clientX: x, clientY: y, bubbles: true }),
    )
  send('pointerdown', 200, 200)
  moves.forEach(([x, y]) => send('pointermove', x, y))
  const [x, y] = moves.at(-1) ?? [200, 200]
  send('pointerup', x, y)
  page.unmount()
  return decided
}

describe('a row under a finger', () => {
  it('decides when it was moved far enough to a side', async () => {
    expect(await swipe([230, 202], [310, 205])).toEqual(['a right'])
    expect(await swipe([170, 200], [90, 200])).toEqual(['a left'])
  })

  it('does nothing when it was let go before, tapped or scrolled', async () => {
    expect(await swipe([240, 200])).toEqual([])
    expect(await swipe()).toEqual([])
    expect(await swipe([204, 240], [320, 260])).toEqual([])
  })

  it('goes back when the finger does', async () => {
    expect(await swipe([320, 200], [220, 200])).toEqual([])
  })
})
