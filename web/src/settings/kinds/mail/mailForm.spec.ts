import { describe, expect, it } from 'vitest'
import { portFor } from '@/settings/kinds/mail/mailForm'

describe('ports', () => {
  it('follow the encryption until somebody sets another one', () => {
    expect(portFor('imap', 993, 'STARTTLS')).toBe(143)
    expect(portFor('smtp', 587, 'TLS')).toBe(465)
    expect(portFor('imap', 3143, 'NONE')).toBe(3143)
  })
})
