import { computed, readonly, ref } from 'vue'
import { Problem } from '@/api/client'

/** What the server says of single fields of a form, until the form is sent again. */
export function useFieldErrors() {
  const fields = ref<Readonly<Record<string, string>>>({})

  /** Takes what belongs to fields; answers whether all of it does, so that nothing is left to say elsewhere. */
  function take(problem: unknown): boolean {
    fields.value = problem instanceof Problem ? problem.fields : {}
    return Object.keys(fields.value).length > 0
  }

  function clear(): void {
    fields.value = {}
  }

  return {
    fields: readonly(fields),
    any: computed(() => Object.keys(fields.value).length > 0),
    take,
    clear,
  }
}
