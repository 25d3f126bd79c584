import { defineStore } from 'pinia'

const KEPT = 'squallnote.capture'

/** The capture line. */
export const useCapture = defineStore('capture', {
  state: () => ({
    open: false,
    /** What stands in it; kept in this browser until it has become a follow-up. */
    text: localStorage.getItem(KEPT) ?? '',
    /** Where a captured page came from, put into the note. */
    note: '',
  }),
})

export function keepCapture(text: string): void {
  useCapture().text = text
  if (text === '') {
    localStorage.removeItem(KEPT)
  } else {
    localStorage.setItem(KEPT, text)
  }
}

/** Opens the capture line, with the title and the address of a page that was shared. */
export function openCapture(shared?: { title: string; url: string; text: string }): void {
  if (shared) {
    const about = shared.title || shared.text || shared.url
    keepCapture(about.replace(/\s+/g, ' ').trim().slice(0, 300))
    useCapture().note = [shared.url, shared.text === about ? '' : shared.text]
      .filter(Boolean)
      .join('\n')
      .slice(0, 20_000)
  }
  useCapture().open = true
}
