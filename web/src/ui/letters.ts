import { isCommandKey } from '@/ui/keys'

/** Leads a letter to the part of a form that carries it: a field gets the focus, a button is pressed. */
export function followLetter(event: KeyboardEvent, form: HTMLElement): boolean {
  if (!isCommandKey(event) || event.shiftKey) {
    return false
  }
  const part = form.querySelector<HTMLElement>(
    `[data-letter="${CSS.escape(event.key.toLowerCase())}"]`,
  )
  if (!part) {
    return false
  }
  event.preventDefault()
  event.stopPropagation()
  part.focus()
  if (part instanceof HTMLInputElement && part.type !== 'checkbox') {
    part.select()
  } else {
    part.click()
  }
  return true
}
