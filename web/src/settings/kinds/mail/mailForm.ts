import type { MailForm, MailView, SourceView } from '@/api/client'

/** A form for a new mail account, with the ports that most servers use. */
export function emptyMailForm(): MailForm {
  return {
    name: '',
    address: '',
    fromName: '',
    imap: { host: '', port: 993, encryption: 'TLS' },
    smtp: { host: '', port: 587, encryption: 'STARTTLS' },
    user: '',
    password: '',
    inbox: 'INBOX',
    sent: null,
    archive: null,
    drafts: null,
    pinnedCertificate: null,
    daysBack: 90,
    archiveRule: 'NEVER',
  }
}

/** The form of a connected account; its password is not known here. */
export function mailFormOf(source: SourceView, set: MailView): MailForm {
  return {
    name: source.name,
    address: source.address,
    daysBack: source.daysBack,
    archiveRule: source.archiveRule,
    password: '',
    ...set,
    imap: { ...set.imap },
    smtp: { ...set.smtp },
  }
}

type Encryption = MailForm['imap']['encryption']
const PORTS: Record<'imap' | 'smtp', Record<Encryption, number>> = {
  imap: { TLS: 993, STARTTLS: 143, NONE: 143 },
  smtp: { TLS: 465, STARTTLS: 587, NONE: 25 },
}

/** The usual port for an encryption, unless somebody has set another one. */
export function portFor(kind: 'imap' | 'smtp', port: number, encryption: Encryption): number {
  const usual = Object.values(PORTS[kind])
  return usual.includes(port) ? PORTS[kind][encryption] : port
}
