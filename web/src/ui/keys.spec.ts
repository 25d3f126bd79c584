import { describe, expect, it } from 'vitest'
import { bindingFor } from '@/ui/keys'

const bindings = [{ key: 'f', does: 'Follow up', run: () => undefined }]

function press(target: HTMLElement, init: KeyboardEventInit = {}): KeyboardEvent {
  document.body.append(target)
  const event = new KeyboardEvent('keydown', { key: 'f', bubbles: true, ...init })
  target.dispatchEvent(event)
  return event
}

describe('keys', () => {
  it('fire anywhere but while typing or with a modifier', () => {
    const groups = [{ title: 'Intake', bindings }]
    expect(bindingFor(press(document.createElement('div')), groups)?.does).toBe('Follow up')
    expect(bindingFor(press(document.createElement('textarea')), groups)).toBeUndefined()
    expect(bindingFor(press(document.createElement('input')), groups)).toBeUndefined()
    expect(
      bindingFor(press(document.createElement('div'), { ctrlKey: true }), groups),
    ).toBeUndefined()
  })

  it('can be two with the shift key', () => {
    const both = [
      { key: 'f', shift: false, does: 'This one', run: () => undefined },
      { key: 'f', shift: true, does: 'Always', run: () => undefined },
    ]
    const groups = [{ title: 'Intake', bindings: both }]
    const div = document.createElement('div')
    expect(bindingFor(press(div), groups)?.does).toBe('This one')
    expect(bindingFor(press(div, { key: 'F', shiftKey: true }), groups)?.does).toBe('Always')
  })

  it('belong to the latest group that counts', () => {
    const later = { title: 'Sheet', bindings: [{ key: 'F', does: 'Firm', run: () => undefined }] }
    const off = {
      title: 'Off',
      bindings: [{ key: 'f', does: 'Off', run: () => undefined, when: () => false }],
    }
    const event = press(document.createElement('div'))
    expect(bindingFor(event, [{ title: 'Intake', bindings }, later, off])?.does).toBe('Firm')
  })
})
