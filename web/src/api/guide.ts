import { computed, ref } from 'vue'
import { client, unwrap } from '@/api/client'
import { showProblem } from '@/api/toasts'

/** Whether the views explain themselves; undefined until it is known. */
const over = ref<boolean>()
/** Which part is explained now. */
export const guideStep = ref(0)
export const isGuiding = computed(() => over.value === false)

/** Asks once after signing in. */
export async function loadGuide(): Promise<void> {
  try {
    over.value = (await unwrap(client.GET('/api/guide'))).over
  } catch {
    // Without an answer nothing is explained; the next start asks again.
    over.value = undefined
  }
}

/** Lets the views explain themselves from the beginning. */
export async function startGuide(): Promise<void> {
  guideStep.value = 0
  await choose(false)
}

/** Nothing is explained any more, here and elsewhere. */
export async function endGuide(): Promise<void> {
  await choose(true)
}

async function choose(isOver: boolean): Promise<void> {
  over.value = isOver
  try {
    await unwrap(client.PUT('/api/guide', { body: { over: isOver } }))
  } catch (problem) {
    showProblem(problem)
  }
}
