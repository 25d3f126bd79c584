import { ref, shallowRef } from 'vue'
import type { FacetGroup } from '@/followups/facets'
import { dragBegan, dragEnded } from '@/ui/heldWhileDragging'

export interface DropPlace {
  readonly group: FacetGroup
  /** The row above which it was let go; absent for the end of the group. */
  readonly before: string | undefined
}

/** Rows that are dragged to another place of the list, or to another group. */
export function useRowDrag(options: {
  /** What is dragged with a row: all that are picked, if it is one of them. */
  with: (key: string) => readonly string[]
  mayDrop: (ids: readonly string[], place: DropPlace) => boolean
  drop: (ids: readonly string[], place: DropPlace) => void
}) {
  const dragged = ref<readonly string[]>([])
  const over = shallowRef<DropPlace>()

  function start(event: DragEvent, key: string): void {
    dragged.value = options.with(key)
    dragBegan()
    if (event.dataTransfer) {
      event.dataTransfer.effectAllowed = 'move'
      event.dataTransfer.setData('text/plain', dragged.value.join('\n'))
    }
  }

  function end(): void {
    dragged.value = []
    over.value = undefined
    dragEnded()
  }

  function point(event: DragEvent, place: DropPlace): void {
    if (dragged.value.length > 0 && options.mayDrop(dragged.value, place)) {
      event.preventDefault()
      over.value = place
    } else {
      over.value = undefined
    }
  }

  /** Above the row in its upper half, else below it. */
  function pointRow(event: DragEvent, group: FacetGroup, key: string): void {
    const box = (event.currentTarget as HTMLElement).getBoundingClientRect()
    const at = group.rows.findIndex((row) => row.key === key)
    const above = event.clientY < box.top + box.height / 2
    point(event, { group, before: above ? key : group.rows[at + 1]?.key })
  }

  function drop(event: DragEvent): void {
    const place = over.value
    const ids = dragged.value
    if (place && ids.length > 0) {
      event.preventDefault()
      end()
      options.drop(ids, place)
    }
  }

  /** Whether it would be let go above this row, or at the end of the group below it. */
  function edgeOf(key: string): 'above' | 'below' | undefined {
    const place = over.value
    if (!place) {
      return undefined
    }
    if (place.before === key) {
      return 'above'
    }
    return place.before === undefined && place.group.rows.at(-1)?.key === key ? 'below' : undefined
  }

  return { dragged, over, start, end, point, pointRow, drop, edgeOf }
}
