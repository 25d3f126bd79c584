import { defineStore } from 'pinia'

/** A short message at the edge of the page; how long it stays is for whoever shows it to say. */
export interface Toast {
  id: number
  kind: 'done' | 'problem' | 'offer'
  text: string
  undo?: () => Promise<unknown>
  /** What is offered to be done. */
  action?: { label: string; run: () => void }
}

const MOST = 3

/** What is said at the edge of the page now, the newest last. */
export const useToasts = defineStore('toasts', {
  state: () => ({ list: [] as readonly Toast[], next: 1 }),
  actions: {
    add(toast: Omit<Toast, 'id'>): void {
      this.list = [...this.list, { ...toast, id: this.next++ }].slice(-MOST)
    },
    dismiss(id: number): void {
      this.list = this.list.filter((toast) => toast.id !== id)
    },
  },
})

/** Says what was done; the newest one replaces those before it. */
export function showDone(text: string, undo?: () => Promise<unknown>): void {
  const toasts = useToasts()
  toasts.list = toasts.list.filter((toast) => toast.kind !== 'done')
  toasts.add({ kind: 'done', text, ...(undo ? { undo } : {}) })
}

/** Offers a next step. */
export function showOffer(text: string, label: string, run: () => void): void {
  useToasts().add({ kind: 'offer', text, action: { label, run } })
}

/** Says what went wrong; stays until it is dismissed. */
export function showProblem(problem: unknown): void {
  const text = problem instanceof Error ? problem.message : String(problem)
  const toasts = useToasts()
  if (!toasts.list.some((toast) => toast.text === text)) {
    toasts.add({ kind: 'problem', text })
  }
}
