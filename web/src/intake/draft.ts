import { client, unwrap } from '@/api/client'

const PREFIX = 'squallnote.draft.'
const QUIET_MS = 500

/** What is kept in this browser of a draft: every keystroke, even when the application is gone. */
export function localDraft(messageId: string): string | undefined {
  return localStorage.getItem(PREFIX + messageId) ?? undefined
}

export function keepLocally(messageId: string, text: string): void {
  if (text === '') {
    localStorage.removeItem(PREFIX + messageId)
  } else {
    localStorage.setItem(PREFIX + messageId, text)
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
