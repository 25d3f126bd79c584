import { watchDebounced } from '@vueuse/core'
import { ref, type Ref } from 'vue'

/**
 * What the application understands of words while they are typed; an answer that comes after more was typed does not
 * count. Where it cannot be asked, the reason stands beside it.
 */
export function useReadWhileTyped<T>(
  typed: Ref<string>,
  ask: (words: string) => Promise<T>,
): {
  read: Ref<T | undefined>
  problem: Ref<string>
  /** Asks at once. */
  understood: (words: string) => Promise<T | undefined>
} {
  const read: Ref<T | undefined> = ref()
  const problem = ref('')

  async function understood(words: string): Promise<T | undefined> {
    problem.value = ''
    if (words.trim() === '') {
      return undefined
    }
    try {
      return await ask(words)
    } catch (failed) {
      problem.value = failed instanceof Error ? failed.message : ''
      return undefined
    }
  }

  watchDebounced(
    typed,
    async (words) => {
      const now = await understood(words)
      if (words === typed.value) {
        read.value = now
      }
    },
    { debounce: 80, immediate: true },
  )

  return { read, problem, understood }
}
