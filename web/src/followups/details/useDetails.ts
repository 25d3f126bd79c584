import { onBeforeUnmount, ref, watch, type Ref } from 'vue'
import type { Details } from '@/api/client'

const QUIET_MS = 600

/** Steps without words are only being written yet. */
function filled(details: Details | undefined): string {
  return JSON.stringify({
    ...details,
    checklist: details?.checklist.filter((step) => step.text.trim() !== ''),
  })
}

function same(one: Details | undefined, other: Details | undefined): boolean {
  return filled(one) === filled(other)
}

/**
 * What lies behind a sentence while it is edited: saved shortly after the last keystroke, one save after the other, and
 * when the sheet is closed. What comes from the server replaces it only when nothing is waiting to be saved.
 */
export function useDetails(options: {
  stored: () => Details | undefined
  save: (details: Details) => Promise<boolean>
}): { details: Ref<Details | undefined>; change: (details: Details) => void } {
  const details = ref<Details>()
  let waiting: Details | undefined
  let saving = false
  let timer: ReturnType<typeof setTimeout> | undefined

  async function flush(): Promise<void> {
    clearTimeout(timer)
    if (saving || !waiting) {
      return
    }
    const now = waiting
    saving = true
    const saved = await options.save(now)
    saving = false
    if (saved && waiting === now) {
      waiting = undefined
    } else if (saved) {
      await flush()
    }
  }

  watch(
    options.stored,
    (stored) => {
      if (!waiting && !same(stored, details.value)) {
        details.value = stored
      }
    },
    { immediate: true },
  )
  onBeforeUnmount(() => void flush())

  return {
    details,
    change(changed) {
      details.value = changed
      if (!waiting && same(changed, options.stored())) {
        return
      }
      waiting = changed
      clearTimeout(timer)
      timer = setTimeout(() => void flush(), QUIET_MS)
    },
  }
}
