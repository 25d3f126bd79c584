import { defineStore } from 'pinia'
import { client, unwrap } from '@/api/client'
import { showProblem } from '@/api/toasts'

/** Where the first sitting stands. */
export const useGuide = defineStore('guide', {
  state: () => ({
    /** Whether the views explain themselves no more; undefined until it is known. */
    over: undefined as boolean | undefined,
    /** Which part is explained now. */
    step: 0,
  }),
  getters: { isGuiding: (state) => state.over === false },
})

/** Asks once after signing in. */
export async function loadGuide(): Promise<void> {
  const guide = useGuide()
  try {
    guide.over = (await unwrap(client.GET('/api/guide'))).over
  } catch {
    // Without an answer nothing is explained; the next start asks again.
    guide.over = undefined
  }
}

/** Lets the views explain themselves from the beginning. */
export async function startGuide(): Promise<void> {
  useGuide().step = 0
  await choose(false)
}

/** Nothing is explained any more, here and elsewhere. */
export async function endGuide(): Promise<void> {
  await choose(true)
}

async function choose(isOver: boolean): Promise<void> {
  useGuide().over = isOver
  try {
    await unwrap(client.PUT('/api/guide', { body: { over: isOver } }))
  } catch (problem) {
    showProblem(problem)
  }
}
