import type { DirectiveBinding } from 'vue'

/** Directive: an element takes the focus when it appears, as a field does that a key has opened; not where it is false. */
export const vFocus = {
  mounted: (element: HTMLElement, binding: DirectiveBinding<boolean | undefined>) => {
    if (binding.value !== false) {
      element.focus()
    }
  },
}
