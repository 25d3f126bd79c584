import type { MessageView } from '@/api/client'

/** A mail to Ines that asks something. */
export function mailThatAsks(words: string, ask: string, more: object): MessageView {
  const from = words.indexOf(ask)
  return {
    id: 'm1',
    channel: 'MAIL',
    to: [{ name: 'Ines Calloway', address: 'ines@merrowquay.example' }],
    cc: [],
    ownWords: words,
    reading: { marks: [{ kind: 'ASK', from, to: from + ask.length }] },
    draft: null,
    draftFiles: [],
    ...more,
  } as unknown as MessageView
}
