import { readonly, ref } from 'vue'
import { Problem } from '@/api/client'
import { showProblem } from '@/api/toasts'

/** What the server says of single fields of a form, until the form is sent again, and whether it is being sent. */
export function useFieldErrors() {
  const fields = ref<Readonly<Record<string, string>>>({})
  const busy = ref(false)

  /** Takes what belongs to fields; answers whether all of it does, so that nothing is left to say elsewhere. */
  function take(problem: unknown): boolean {
    fields.value = problem instanceof Problem ? problem.fields : {}
    return Object.keys(fields.value).length > 0
  }

  function clear(): void {
    fields.value = {}
  }

  /** Sends the form. A problem is said at its fields, or by `say`; answers undefined then. */
  async function attempt<T>(
    work: () => Promise<T>,
    say: (problem: unknown) => void = showProblem,
  ): Promise<T | undefined> {
    busy.value = true
    clear()
    try {
      return await work()
    } catch (problem) {
      if (!take(problem)) {
        say(problem)
      }
      return undefined
    } finally {
      busy.value = false
    }
  }

  return { fields: readonly(fields), busy: readonly(busy), take, clear, attempt }
}
