import { computed, ref } from 'vue'

/** The row of a list that is pointed at, by its key, and the way to the others. */
export function usePointed<T>(rows: () => readonly T[], keyOf: (row: T) => string) {
  const current = ref<string>()
  const place = computed(() => rows().findIndex((row) => keyOf(row) === current.value))
  const pointed = computed(() => rows()[place.value])

  /** Points so many rows on or back, and stops at the ends. */
  function step(by: number): void {
    const row = rows()[Math.min(Math.max(place.value + by, 0), rows().length - 1)]
    if (row !== undefined) {
      current.value = keyOf(row)
    }
  }

  return { current, place, pointed, step }
}
