import { client, unwrap } from '@/api/client'

const PREFIX = 'squallnote.draft.'
const QUIET_MS = 500

/** What a draft consists of in this browser: its text, and whom it is copied to. */
type Part = 'text' | 'cc' | 'bcc'

const key = (messageId: string, part: Part) =>
  PREFIX + messageId + (part === 'text' ? '' : `.${part}`)

/** What is kept in this browser of a draft: every keystroke, even when the application is gone. */
export function localDraft(messageId: string, part: Part = 'text'): string | undefined {
  return localStorage.getItem(key(messageId, part)) ?? undefined
}

export function keepLocally(messageId: string, typed: string, part: Part = 'text'): void {
  if (typed === '') {
    localStorage.removeItem(key(messageId, part))
  } else {
    localStorage.setItem(key(messageId, part), typed)
  }
}

/** Once it is sent, nothing of it is kept here. */
export function forgetLocally(messageId: string): void {
  for (const part of ['text', 'cc', 'bcc'] as const) {
    keepLocally(messageId, '', part)
  }
}

/** Saves a draft on the server shortly after the last keystroke; until that worked it stays in this browser. */
export function draftSaver(messageId: string): { save: (text: string) => void; stop: () => void } {
  let timer: ReturnType<typeof setTimeout> | undefined
  async function send(text: string): Promise<void> {
    try {
      await unwrap(
        client.PUT('/api/messages/{id}/draft', {
          params: { path: { id: messageId } },
          body: { text },
        }),
      )
      if (localDraft(messageId) === text) {
        keepLocally(messageId, '')
      }
    } catch {
      // It stays in this browser and is sent with the next keystroke.
    }
  }
  return {
    save(text) {
      keepLocally(messageId, text)
      clearTimeout(timer)
      timer = setTimeout(() => void send(text), QUIET_MS)
    },
    stop() {
      clearTimeout(timer)
    },
  }
}
