import { defineStore } from 'pinia'
import type { Done } from '@/api/client'
import { onTakenBack } from '@/api/commands'

/** A decision of this sitting, with the messages that it was about. */
export interface Decided {
  commandId: string
  label: string
  messages: number
  at: number
}

/** Longer between two decisions is a pause and says nothing about the pace. */
const PAUSE_MS = 180_000
const FEWEST = 3

const KEY = 'squallnote.sitting'

function kept(): Decided[] {
  try {
    const value: unknown = JSON.parse(sessionStorage.getItem(KEY) ?? '[]')
    return Array.isArray(value) ? (value as Decided[]) : []
  } catch {
    return []
  }
}

/** What was decided since this page was opened, the newest last. */
export const useSitting = defineStore('sitting', {
  state: (): { decided: readonly Decided[] } => ({ decided: kept() }),
  getters: { messages: (state) => state.decided.reduce((sum, one) => sum + one.messages, 0) },
})

function keep(decided: readonly Decided[]): void {
  useSitting().decided = decided
  sessionStorage.setItem(KEY, JSON.stringify(decided))
}

/** Another account begins a sitting of its own. */
export function forgetSitting(): void {
  keep([])
}

export function noteDecided(
  done: Pick<Done, 'commandId' | 'label'>,
  messages: number,
  at = Date.now(),
): void {
  keep(
    [...useSitting().decided, { commandId: done.commandId, label: done.label, messages, at }].slice(
      -500,
    ),
  )
}

export function forgetDecided(commandId: string): void {
  keep(useSitting().decided.filter((one) => one.commandId !== commandId))
}

onTakenBack(forgetDecided)

/** Milliseconds that a message takes at this pace; undefined while too little was decided to say. */
export function pace(decided: readonly Decided[]): number | undefined {
  const spans: number[] = []
  for (let i = 1; i < decided.length; i++) {
    const one = decided[i]
    const before = decided[i - 1]
    const span = one && before ? one.at - before.at : PAUSE_MS
    if (one && span < PAUSE_MS) {
      spans.push(span / one.messages)
    }
  }
  if (spans.length < FEWEST) {
    return undefined
  }
  spans.sort((a, b) => a - b)
  return spans[Math.floor(spans.length / 2)]
}

/** How long what is left takes at this pace, in words; empty while nobody can say. */
export function timeLeft(left: number, decided: readonly Decided[]): string {
  const each = pace(decided)
  if (each === undefined || left === 0) {
    return ''
  }
  const minutes = Math.ceil((left * each) / 60_000)
  return minutes <= 1 ? 'about a minute' : `about ${minutes} min`
}
