import { getCurrentScope, onScopeDispose, ref, watch } from 'vue'

const dragging = ref(false)

/** Something is being dragged from one place of a list to another. */
export function dragBegan(): void {
  dragging.value = true
}

/** It was let go. */
export function dragEnded(): void {
  dragging.value = false
}

/**
 * Shows what is new, at once or else when nothing is being dragged any more: a list that is drawn anew under the pointer
 * would lose what it holds.
 */
export function showUnlessDragging<T>(source: () => T, show: (now: T) => void): void {
  let waiting: { now: T } | undefined

  function showWaiting(): void {
    if (waiting && !dragging.value) {
      const { now } = waiting
      waiting = undefined
      show(now)
    }
  }

  watch(
    source,
    (now) => {
      waiting = { now }
      showWaiting()
    },
    { immediate: true },
  )
  watch(dragging, showWaiting)
  // Who leaves the view in the middle of it drags nothing any more.
  if (getCurrentScope()) {
    onScopeDispose(dragEnded)
  }
}
