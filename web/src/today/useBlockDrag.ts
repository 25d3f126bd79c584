import { ref, type Ref } from 'vue'
import type { DayEntry } from '@/api/client'
import { lengthOf, minuteOf, type Gauge } from '@/today/gauge'

/** Times are taken in steps of so many minutes. */
const STEP = 15
/** A pointer that has moved less has only pressed. */
const ONLY_PRESSED = 4

/** What a follow-up would have after the drag. */
export interface Placed {
  entry: DayEntry
  fromMinute: number
  minutes: number
}

const stepped = (minutes: number) => Math.round(minutes / STEP) * STEP

/**
 * Follow-ups are dragged to a time of the day, and longer or shorter at their lower edge, by mouse, pen or finger. Let go
 * outside of the ruler, or with Escape, nothing is changed.
 */
export function useBlockDrag(options: {
  drawn: () => Gauge | undefined
  svg: () => SVGSVGElement | null
  /** Up to where the ruler reaches to the right. */
  reach: number
  place: (placed: Placed) => void
}): {
  placed: Ref<Placed | undefined>
  /** The minute of the day at a point of the screen; undefined outside of the ruler. */
  minuteAt: (point: { clientX: number; clientY: number }) => number | undefined
  begin: (event: PointerEvent, entry: DayEntry, how: 'move' | 'size') => void
} {
  const placed = ref<Placed>()

  function at(event: { clientX: number; clientY: number }): { x: number; y: number } | undefined {
    const svg = options.svg()
    const matrix = svg?.getScreenCTM()
    if (!svg || !matrix) {
      return undefined
    }
    const point = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse())
    return { x: point.x, y: point.y }
  }

  function begin(event: PointerEvent, entry: DayEntry, how: 'move' | 'size'): void {
    const first = at(event)
    const gauge = options.drawn()
    if (!first || !gauge || event.button !== 0) {
      return
    }
    event.preventDefault()
    const start = entry.at === null ? gauge.minuteAt(first.y) : minuteOf(entry.at)
    const grip = gauge.minuteAt(first.y) - start
    let moved = false

    function move(now: PointerEvent): void {
      const point = at(now)
      const drawn = options.drawn()
      if (!point || !drawn || !first) {
        return
      }
      moved ||= Math.abs(point.x - first.x) + Math.abs(point.y - first.y) > ONLY_PRESSED
      if (!moved) {
        return
      }
      const minute = drawn.minuteAt(point.y)
      const length = lengthOf(entry)
      if (how === 'size') {
        placed.value = {
          entry,
          fromMinute: start,
          minutes: Math.max(STEP, stepped(minute - start)),
        }
      } else if (point.x > options.reach) {
        placed.value = undefined
      } else {
        const from = stepped(minute - (entry.at === null ? 0 : grip))
        placed.value = {
          entry,
          fromMinute: Math.min(Math.max(0, from), 1440 - STEP),
          minutes: length,
        }
      }
    }

    function end(): void {
      window.removeEventListener('pointermove', move)
      window.removeEventListener('pointerup', drop)
      window.removeEventListener('pointercancel', end)
      window.removeEventListener('keydown', escape, true)
      placed.value = undefined
    }

    function drop(): void {
      const result = placed.value
      end()
      if (result) {
        options.place(result)
      }
    }

    function escape(key: KeyboardEvent): void {
      if (key.key === 'Escape') {
        key.stopPropagation()
        end()
      }
    }

    window.addEventListener('pointermove', move)
    window.addEventListener('pointerup', drop)
    window.addEventListener('pointercancel', end)
    window.addEventListener('keydown', escape, true)
  }

  function minuteAt(point: { clientX: number; clientY: number }): number | undefined {
    const found = at(point)
    const drawn = options.drawn()
    const within =
      found &&
      drawn &&
      found.x >= 0 &&
      found.x <= options.reach &&
      found.y >= drawn.top &&
      found.y <= drawn.bottom
    return within ? stepped(drawn.minuteAt(found.y)) : undefined
  }

  return { placed, minuteAt, begin }
}
