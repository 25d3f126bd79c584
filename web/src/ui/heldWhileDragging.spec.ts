import { describe, expect, it } from 'vitest'
import { nextTick, ref } from 'vue'
import { dragBegan, dragEnded, showUnlessDragging } from '@/ui/heldWhileDragging'

describe('what is new', () => {
  it('is shown at once, but for what comes under a drag, of which the last is shown behind it', async () => {
    const source = ref(1)
    const shown: number[] = []
    showUnlessDragging(
      () => source.value,
      (now) => shown.push(now),
    )
    source.value = 2
    await nextTick()
    dragBegan()
    source.value = 3
    await nextTick()
    source.value = 4
    await nextTick()
    expect(shown).toEqual([1, 2])
    dragEnded()
    await nextTick()
    dragBegan()
    dragEnded()
    await nextTick()
    expect(shown).toEqual([1, 2, 4])
  })
})
