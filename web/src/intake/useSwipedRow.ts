import { useEventListener } from '@vueuse/core'
import { ref, type Ref } from 'vue'

/** A row that a finger moves to a side. */
export interface Swiped {
  readonly key: string
  /** How far, in pixels; to the right is more than nothing. */
  readonly by: number
}

/** From here on letting go decides. */
export const FAR_ENOUGH = 96
/** So far a finger may stray while it taps or scrolls. */
const STRAYS = 14

/** Follows a finger that moves a row of a list sideways; what scrolls up or down is left alone. */
export function useSwipedRow(
  list: Ref<HTMLElement | null | undefined>,
  decide: (key: string, side: 'left' | 'right') => void,
): Ref<Swiped | undefined> {
  const swiped = ref<Swiped>()
  let start: { key: string; x: number; y: number } | undefined

  useEventListener(list, 'pointerdown', (event: PointerEvent) => {
    const row =
      event.pointerType === 'touch' && event.target instanceof HTMLElement
        ? event.target.closest<HTMLElement>('[data-message]')
        : null
    const key = row?.dataset.message
    start = key ? { key, x: event.clientX, y: event.clientY } : undefined
  })
  useEventListener(list, 'pointermove', (event: PointerEvent) => {
    if (!start) {
      return
    }
    const across = event.clientX - start.x
    const along = Math.abs(event.clientY - start.y)
    if (!swiped.value && along > STRAYS) {
      start = undefined
    } else if (swiped.value || Math.abs(across) > STRAYS) {
      swiped.value = { key: start.key, by: across }
    }
  })
  useEventListener(list, 'pointerup', () => {
    const done = swiped.value
    start = undefined
    swiped.value = undefined
    if (done && Math.abs(done.by) >= FAR_ENOUGH) {
      decide(done.key, done.by > 0 ? 'right' : 'left')
    }
  })
  useEventListener(list, 'pointercancel', () => {
    start = undefined
    swiped.value = undefined
  })
  return swiped
}
