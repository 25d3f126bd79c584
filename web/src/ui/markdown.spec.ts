import { describe, expect, it } from 'vitest'
import { safeHtml } from '@/ui/markdown'

describe('A note', () => {
  it('has paragraphs, lists, emphasis and links', () => {
    const html = safeHtml('**Two** shackles:\n\n- 12 mm\n- 16 mm\n\nsee https://chandler.example/x')
    expect(html).toContain('<strong>Two</strong>')
    expect(html.match(/<li>/g)).toHaveLength(2)
    expect(html).toContain('href="https://chandler.example/x"')
    expect(html).toContain('rel="noopener noreferrer"')
  })

  it('has its lines as they were typed, unless they flow as those of a file do', () => {
    expect(safeHtml('first\nsecond')).toContain('<br')
    expect(safeHtml('first\nsecond', true)).not.toContain('<br')
    expect(safeHtml('```\na\nb\n```', true)).toContain('a\nb')
  })

  it('can do nothing but be read', () => {
    const html = safeHtml(
      '<script>x()</script> <img src=x onerror=y()> ![p](https://x.example/p.png) [a](javascript:z())',
    )
    expect(html).not.toMatch(/<script|<img|javascript:"|onerror="/)
    expect(html).not.toContain('href="javascript')
  })
})
