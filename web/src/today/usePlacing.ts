import type { Ref } from 'vue'
import type { TodayData } from '@/api/client'
import { startAt } from '@/today/plan'
import { clockOf } from '@/ui/clockTime'
import { dragEnded } from '@/ui/heldWhileDragging'

type Point = { clientX: number; clientY: number }

/** Gives follow-ups a time of their own where they are let go: in the gauge, or over it when they come from the list. */
export function usePlacing(
  today: Ref<TodayData | undefined>,
  gauge: Readonly<Ref<{ minuteAt: (point: Point) => number | undefined } | null>>,
): {
  placeAt: (id: string, from: string, minutes: number | null) => void
  dropOnGauge: (end: { item: HTMLElement; originalEvent?: Event }) => void
} {
  function placeAt(id: string, from: string, minutes: number | null): void {
    if (today.value) {
      void startAt(id, today.value.day, from, minutes)
    }
  }

  function dropOnGauge(end: { item: HTMLElement; originalEvent?: Event }): void {
    dragEnded()
    const at = end.originalEvent
    const point =
      at instanceof TouchEvent ? at.changedTouches[0] : at instanceof MouseEvent ? at : undefined
    const minute = point && gauge.value?.minuteAt(point)
    const id = end.item.dataset.entry
    if (minute !== undefined && id !== undefined) {
      placeAt(id, clockOf(minute), null)
    }
  }

  return { placeAt, dropOnGauge }
}
