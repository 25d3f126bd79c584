import type { MessageView } from '@/api/client'
import { day, today } from '@/ui/time'

/** What the fields of a saved phrase stand for in an answer to a message. */
export function fieldsOf(message: MessageView, me: string): Record<string, string> {
  const name = (message.from.name || message.from.address).split(/[\s@]/)[0] ?? ''
  return {
    name,
    date: day(message.proposal.replyBy),
    today: day(today()),
    ask: askOf(message) || message.subject,
    subject: message.subject,
    title: message.proposal.title,
    me,
  }
}

/** The first sentence in which a message asks, on one line; empty when it asks nothing. */
export function askOf(message: MessageView): string {
  const ask = message.reading.marks.find((mark) => mark.kind === 'ASK')
  return ask ? message.ownWords.slice(ask.from, ask.to).replace(/\s+/g, ' ').trim() : ''
}

/** A phrase with its fields filled in; others stay, to be filled by hand. */
export function filled(text: string, fields: Record<string, string>): string {
  return text.replace(/\{(\w{1,20})\}/g, (whole, name: string) => fields[name] ?? whole)
}

/** An answer with the ask quoted above it. */
export function withQuote(text: string, ask: string): string {
  return ask === '' ? text : `> ${ask}\n\n${text}`
}

/** Minutes and seconds since a moment. */
export function elapsed(fromMs: number, nowMs: number): string {
  const seconds = Math.max(0, Math.floor((nowMs - fromMs) / 1000))
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`
}
