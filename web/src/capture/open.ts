import { ref } from 'vue'

const KEPT = 'squallnote.capture'

/** Whether the capture line is open. */
export const captureOpen = ref(false)

/** What stands in the capture line; kept in this browser until it has become a follow-up. */
export const captureText = ref(localStorage.getItem(KEPT) ?? '')

/** Where a captured page came from, put into the note. */
export const captureNote = ref('')

export function keepCapture(text: string): void {
  captureText.value = text
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
    captureNote.value = [shared.url, shared.text === about ? '' : shared.text]
      .filter(Boolean)
      .join('\n')
      .slice(0, 20_000)
  }
  captureOpen.value = true
}
