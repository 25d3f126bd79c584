/**
 * What a key means beside quick choices and a field for words, as long as the field has not got the focus: a digit takes
 * a choice, a letter goes into the field.
 */
export function choiceKey<T>(
  event: KeyboardEvent,
  choices: readonly T[],
  panel: HTMLElement,
): T | undefined {
  const typing = event.target instanceof HTMLInputElement
  if (typing || event.ctrlKey || event.metaKey || event.altKey) {
    return undefined
  }
  const choice = choices[Number(event.key) - 1]
  if (choice !== undefined) {
    event.preventDefault()
  } else if (/^[a-z]$/i.test(event.key)) {
    panel.querySelector<HTMLInputElement>('[data-test=typed-day]')?.focus()
  }
  return choice
}
