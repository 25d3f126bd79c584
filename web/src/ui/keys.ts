import { defineStore } from 'pinia'
import { onScopeDispose, shallowReactive } from 'vue'

/** A key with what it does, as it is listed in the help. */
export interface KeyBinding {
  key: string
  does: string
  /** Whether the shift key belongs to it; either way when left out. */
  shift?: boolean
  run: (event: KeyboardEvent) => void
  /** Whether it counts now; always when left out. */
  when?: () => boolean
}

/** The title of the keys that count in every view. */
export const EVERYWHERE = 'Everywhere'

/** Those of them that lead to no view. */
export const KEYS_EVERYWHERE = {
  capture: { key: '+', does: 'Capture' },
  undo: { key: 'u', does: 'Undo the last change' },
  help: { key: '?', does: 'This help' },
}

interface Group {
  title: string
  bindings: KeyBinding[]
}

interface Keyboard {
  /** What is bound now, the latest last. */
  groups: Group[]
  /** The keys that the account has changed, by name. */
  changed: Record<string, string>
}

const useKeyboard = defineStore('keys', {
  state: (): Keyboard => ({ groups: shallowReactive<Group[]>([]), changed: {} }),
})

/** Names a binding in what an account has changed. */
export function keyId(group: string, does: string): string {
  return `${group}: ${does}`
}

/** Takes the keys that an account has changed, by name. */
export function setKeys(keys: Record<string, string>): void {
  useKeyboard().changed = keys
}

/** The key that counts for a binding: the changed one, else its own. */
export function keyFor(group: string, binding: KeyBinding): { key: string; shift?: boolean } {
  const own = useKeyboard().changed[keyId(group, binding.does)]
  if (own === undefined) {
    return binding
  }
  return own.startsWith('shift+') ? { key: own.slice(6), shift: true } : { key: own, shift: false }
}

const NAMES: Record<string, string> = {
  ' ': 'Space',
  ArrowRight: '→',
  ArrowLeft: '←',
  ArrowDown: '↓',
  ArrowUp: '↑',
  Enter: 'Enter',
  Escape: 'Esc',
}

/** A key as it is shown. */
export function keyName(key: { key: string; shift?: boolean }): string {
  const name = NAMES[key.key] ?? key.key.toUpperCase()
  return key.shift ? `⇧ ${name}` : name
}

/** The key that does something now, as it is shown; empty when nothing does. */
export function shownKey(title: string, does: string): string {
  const binding = useKeyboard()
    .groups.filter((each) => each.title === title)
    .flatMap((each) => each.bindings)
    .find((each) => each.does === does)
  return binding ? keyName(keyFor(title, binding)) : ''
}

/** Everything that a key does now, for the help; what parts of a view bind stands together. */
export function keyGroups(): readonly Group[] {
  const { groups } = useKeyboard()
  return [...new Set(groups.map((group) => group.title))].map((title) => ({
    title,
    bindings: groups.filter((group) => group.title === title).flatMap((group) => group.bindings),
  }))
}

function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName))
  )
}

/** Whether the key presses what has the focus. */
function isPress(event: KeyboardEvent): boolean {
  return (
    (event.key === ' ' || event.key === 'Enter') &&
    event.target instanceof HTMLElement &&
    event.target.closest('button, a[href], summary, [role="button"], [role="tab"]') !== null
  )
}

/** Whether a key press means one of our letters: nothing fires while typing, in a dialog or with a modifier. */
export function isCommandKey(event: KeyboardEvent): boolean {
  const owner =
    event.target instanceof HTMLElement
      ? event.target.closest<HTMLElement>('[role="listbox"], [role="menu"], [data-keys]')
      : null
  const isOthers = owner !== null && owner.dataset.keys !== 'view'
  return !(
    event.ctrlKey ||
    event.metaKey ||
    event.altKey ||
    isTyping(event.target) ||
    isOthers ||
    isPress(event)
  )
}

/** The binding that a key press means; the latest group wins. */
export function bindingFor(event: KeyboardEvent, among: readonly Group[]): KeyBinding | undefined {
  if (event.defaultPrevented || !isCommandKey(event)) {
    return undefined
  }
  for (const group of [...among].reverse()) {
    const found = group.bindings.find((binding) => {
      const wanted = keyFor(group.title, binding)
      return (
        wanted.key.toLowerCase() === event.key.toLowerCase() &&
        (wanted.shift ?? event.shiftKey) === event.shiftKey &&
        (binding.when?.() ?? true)
      )
    })
    if (found) {
      return found
    }
  }
  return undefined
}

document.addEventListener('keydown', (event) => {
  const binding = bindingFor(event, useKeyboard().groups)
  if (binding) {
    event.preventDefault()
    binding.run(event)
  }
})

/** Binds keys for as long as the component lives. */
export function useKeys(title: string, bindings: KeyBinding[]): void {
  const group = { title, bindings }
  const { groups } = useKeyboard()
  groups.push(group)
  onScopeDispose(() => {
    groups.splice(groups.indexOf(group), 1)
  })
}
