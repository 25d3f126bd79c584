import { onBeforeUnmount, ref, watch, type Ref } from 'vue'
import type { Details } from '@/api/client'

const QUIET_MS = 600
const KEPT = 'squallnote.details.'

/** What was typed and not saved yet, in this browser, with what it was typed over. */
interface Kept {
  over: string
  details: Details
}

function kept(id: string): Kept | undefined {
  const found = localStorage.getItem(KEPT + id)
  try {
    return found === null ? undefined : (JSON.parse(found) as Kept)
  } catch {
    return undefined
  }
}

/** What was changed elsewhere meanwhile counts; a note that was typed stands below it. */
function joined(stored: Details, typed: Details): Details {
  return typed.note === stored.note
    ? stored
    : { ...stored, note: `${stored.note}\n\nTyped before and not saved:\n${typed.note}`.trim() }
}

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
 * when the sheet is closed. What comes from the server replaces it only when nothing is waiting to be saved. Until it is
 * saved it stays in this browser, whatever becomes of the page or the application, and is there when the sheet is opened again.
 */
export function useDetails(options: {
  id: () => string
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
      localStorage.removeItem(KEPT + options.id())
    } else if (saved) {
      keep(filled(now), waiting)
      await flush()
    }
  }

  function keep(over: string, typed: Details): void {
    localStorage.setItem(KEPT + options.id(), JSON.stringify({ over, details: typed }))
  }

  function wait(changed: Details): void {
    waiting = changed
    clearTimeout(timer)
    timer = setTimeout(() => void flush(), QUIET_MS)
  }

  watch(
    options.stored,
    (stored) => {
      const typed = stored && !waiting && !details.value ? kept(options.id()) : undefined
      if (stored && typed && !same(typed.details, stored)) {
        details.value =
          typed.over === filled(stored) ? typed.details : joined(stored, typed.details)
        wait(details.value)
        return
      }
      if (typed) {
        localStorage.removeItem(KEPT + options.id())
      }
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
      keep(kept(options.id())?.over ?? filled(options.stored()), changed)
      wait(changed)
    },
  }
}
