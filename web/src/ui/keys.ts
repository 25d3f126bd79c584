import { onScopeDispose } from 'vue'

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

interface Group {
  title: string
  bindings: KeyBinding[]
}

const groups: Group[] = []

/** Everything that a key does now, for the help. */
export function keyGroups(): readonly Group[] {
  return groups
}

function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName))
  )
}

/** Whether a key press means one of our letters: nothing fires while typing, in a dialog or with a modifier. */
export function isCommandKey(event: KeyboardEvent): boolean {
  const inFloating =
    event.target instanceof HTMLElement &&
    event.target.closest('[role="listbox"], [role="menu"], [data-keys="own"]') !== null
  return !(event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target) || inFloating)
}

/** The binding that a key press means; the latest group wins. */
export function bindingFor(event: KeyboardEvent, among: readonly Group[]): KeyBinding | undefined {
  if (event.defaultPrevented || !isCommandKey(event)) {
    return undefined
  }
  for (const group of [...among].reverse()) {
    const found = group.bindings.find(
      (binding) =>
        binding.key.toLowerCase() === event.key.toLowerCase() &&
        (binding.shift ?? event.shiftKey) === event.shiftKey &&
        (binding.when?.() ?? true),
    )
    if (found) {
      return found
    }
  }
  return undefined
}

document.addEventListener('keydown', (event) => {
  const binding = bindingFor(event, groups)
  if (binding) {
    event.preventDefault()
    binding.run(event)
  }
})

/** Binds keys for as long as the component lives. */
export function useKeys(title: string, bindings: KeyBinding[]): void {
  const group = { title, bindings }
  groups.push(group)
  onScopeDispose(() => {
    groups.splice(groups.indexOf(group), 1)
  })
}
