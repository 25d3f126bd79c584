import { readonly, ref } from 'vue'

/** A short message at the edge of the page; how long it stays is for whoever shows it to say. */
export interface Toast {
  id: number
  kind: 'done' | 'problem' | 'offer'
  text: string
  undo?: () => Promise<unknown>
  /** What is offered to be done. */
  action?: { label: string; run: () => void }
}

const list = ref<Toast[]>([])
export const toasts = readonly(list)
const MOST = 3
let next = 1

function add(toast: Omit<Toast, 'id'>): void {
  list.value = [...list.value, { ...toast, id: next++ }].slice(-MOST)
}

export function dismiss(id: number): void {
  list.value = list.value.filter((toast) => toast.id !== id)
}

/** Says what was done; the newest one replaces those before it. */
export function showDone(text: string, undo?: () => Promise<unknown>): void {
  list.value = list.value.filter((toast) => toast.kind !== 'done')
  add({ kind: 'done', text, ...(undo ? { undo } : {}) })
}

/** Offers a next step. */
export function showOffer(text: string, label: string, run: () => void): void {
  add({ kind: 'offer', text, action: { label, run } })
}

/** Says what went wrong; stays until it is dismissed. */
export function showProblem(problem: unknown): void {
  const text = problem instanceof Error ? problem.message : String(problem)
  if (!list.value.some((toast) => toast.text === text)) {
    add({ kind: 'problem', text })
  }
}
