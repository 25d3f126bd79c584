import DOMPurify from 'dompurify'
import MarkdownIt from 'markdown-it'

/** CommonMark without raw HTML and without pictures, which would be fetched from elsewhere. */
const reading = (breaks: boolean) =>
  new MarkdownIt({ html: false, linkify: true, breaks }).disable('image')
const typed = reading(true)
const flowing = reading(false)

const ALLOWED = {
  ALLOWED_TAGS: [
    'a',
    'blockquote',
    'br',
    'code',
    'del',
    'em',
    'h1',
    'h2',
    'h3',
    'h4',
    'h5',
    'h6',
    'hr',
    'li',
    'ol',
    'p',
    'pre',
    's',
    'strong',
    'table',
    'tbody',
    'td',
    'th',
    'thead',
    'tr',
    'ul',
  ],
  ALLOWED_ATTR: ['href', 'start'],
  ALLOWED_URI_REGEXP: /^(?:https?:|mailto:|tel:)/i,
}

/**
 * A note as HTML that can do nothing but be read; links open elsewhere and tell nothing of this page.
 *
 * @param flows whether a line may end within a paragraph, as in files; what somebody types has its lines as they are
 */
export function safeHtml(text: string, flows = false): string {
  const html = (flows ? flowing : typed).render(text)
  const fragment = DOMPurify.sanitize(html, { ...ALLOWED, RETURN_DOM: true })
  for (const link of fragment.querySelectorAll('a')) {
    link.setAttribute('target', '_blank')
    link.setAttribute('rel', 'noopener noreferrer')
  }
  return fragment.innerHTML
}
