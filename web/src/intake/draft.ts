import { client, unwrap, type Draft } from '@/api/client'

const PREFIX = 'squallnote.draft.'
const QUIET_MS = 500

/** Of an answer: nothing typed yet. */
export const EMPTY_DRAFT: Draft = { text: '', toAll: false, cc: '', bcc: '' }

const isEmpty = (draft: Draft) => draft.text + draft.cc + draft.bcc === ''

/** What is kept in this browser of a draft: every keystroke, even when the application is gone. */
export function localDraft(id: string): Draft | undefined {
  const kept = localStorage.getItem(PREFIX + id)
  if (kept === null) {
    return undefined
  }
  try {
    return { ...EMPTY_DRAFT, ...(JSON.parse(kept) as Partial<Draft>) }
  } catch {
    // Whatever it is, it was typed.
    return { ...EMPTY_DRAFT, text: kept }
  }
}

export function keepLocally(id: string, draft: Draft): void {
  if (isEmpty(draft)) {
    forgetLocally(id)
  } else {
    localStorage.setItem(PREFIX + id, JSON.stringify(draft))
  }
}

/** Once it is sent or saved, nothing of it is kept here. */
export function forgetLocally(id: string): void {
  localStorage.removeItem(PREFIX + id)
}

/** Saves a draft on the server shortly after the last keystroke; until that worked it stays in this browser. */
export function draftSaver(messageId: string): {
  save: (draft: Draft) => void
  stop: () => void
} {
  let timer: ReturnType<typeof setTimeout> | undefined
  async function send(draft: Draft): Promise<void> {
    try {
      await unwrap(
        client.PUT('/api/messages/{id}/draft', {
          params: { path: { id: messageId } },
          body: draft,
        }),
      )
      // Addressees without a text are no draft to the server.
      if (draft.text !== '' && localStorage.getItem(PREFIX + messageId) === JSON.stringify(draft)) {
        forgetLocally(messageId)
      }
    } catch {
      // It stays in this browser and is sent with the next keystroke.
    }
  }
  return {
    save(draft) {
      keepLocally(messageId, draft)
      clearTimeout(timer)
      timer = setTimeout(() => void send(draft), QUIET_MS)
    },
    stop() {
      clearTimeout(timer)
    },
  }
}
