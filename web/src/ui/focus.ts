/** Directive: an element takes the focus when it appears, as a field does that a key has opened. */
export const vFocus = {
  mounted: (element: HTMLElement) => {
    element.focus()
  },
}
