import { defineStore } from 'pinia'
import { getCurrentScope, onScopeDispose, watch } from 'vue'

const useDragging = defineStore('dragging', { state: () => ({ on: false }) })

/** Something is being dragged from one place of a list to another. */
export function dragBegan(): void {
  useDragging().on = true
}

/** It was let go. */
export function dragEnded(): void {
  useDragging().on = false
}

/**
 * Shows what is new, at once or else when nothing is being dragged any more: a list that is drawn anew under the pointer
 * would lose what it holds.
 */
export function showUnlessDragging<T>(source: () => T, show: (now: T) => void): void {
  const dragging = useDragging()
  let waiting: { now: T } | undefined

  function showWaiting(): void {
    if (waiting && !dragging.on) {
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
  watch(() => dragging.on, showWaiting)
  // Who leaves the view in the middle of it drags nothing any more.
  if (getCurrentScope()) {
    onScopeDispose(dragEnded)
  }
}
