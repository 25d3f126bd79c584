import { ref, watch } from 'vue'
import { extended, NONE, still, toggled, type Picks } from '@/ui/picks'

/** What is picked in a list in which one row is pointed at, with the keys for it. */
export function usePicks(options: {
  /** What the rows stand for, in their order. */
  ids: () => readonly string[]
  /** What the row stands for that is pointed at. */
  current: () => string | undefined
  /** Points at the row after it, or before it. */
  step: (by: 1 | -1) => void
}) {
  const picks = ref<Picks>(NONE)
  const named = () => options.ids().map((id) => ({ id }))
  watch(options.ids, () => (picks.value = still(picks.value, named())))

  function pick(id: string | undefined, how: 'one' | 'range'): void {
    if (id !== undefined) {
      picks.value =
        how === 'one' ? toggled(picks.value, [id]) : extended(picks.value, named(), [id])
    }
  }

  /** Picks the one pointed at, where nothing is picked, and goes on with the next one. */
  function pickStep(by: 1 | -1): void {
    if (picks.value.ids.size === 0) {
      pick(options.current(), 'one')
    }
    options.step(by)
    pick(options.current(), 'range')
  }

  function pickAll(ids: readonly string[]): void {
    picks.value = { ids: new Set(ids), anchor: ids[0] }
  }

  function pickNothing(): void {
    picks.value = NONE
  }

  return { picks, pick, pickStep, pickAll, pickNothing }
}
