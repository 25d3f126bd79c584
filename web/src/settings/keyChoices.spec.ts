import { describe, expect, it } from 'vitest'
import { clashes, pressed, shownChange } from '@/settings/keyChoices'
import { bindingFor, keyId, setKeys } from '@/ui/keys'

describe('keys of one’s own choice', () => {
  it('are letters, digits and marks', () => {
    expect(pressed(new KeyboardEvent('keydown', { key: 'q' }))).toBe('q')
    expect(pressed(new KeyboardEvent('keydown', { key: 'Q', shiftKey: true }))).toBe('shift+q')
    expect(pressed(new KeyboardEvent('keydown', { key: 'Tab' }))).toBeUndefined()
    expect(pressed(new KeyboardEvent('keydown', { key: 'q', ctrlKey: true }))).toBeUndefined()
    expect(shownChange('shift+q')).toBe('⇧ Q')
  })

  it('cannot do two things', () => {
    expect(clashes(keyId('Intake', 'Answer'), 'f', {})).toBe('Follow up')
    expect(clashes(keyId('Intake', 'Answer'), 'a', {})).toBeUndefined()
    expect(clashes(keyId('Intake', 'Answer'), 'u', {})).toBe('Undo the last change')
    expect(clashes(keyId('Intake', 'Answer'), 'm', {}), 'another view').toBeUndefined()
    expect(clashes(keyId('Everywhere', 'Capture'), 'o', {})).toBe('Invitation: another time')
    expect(
      clashes(keyId('Intake', 'Answer'), 'f', { [keyId('Intake', 'Follow up')]: 'y' }),
    ).toBeUndefined()
  })

  it('count instead of the first ones', () => {
    let done = ''
    const groups = [
      { title: 'Intake', bindings: [{ key: 'a', does: 'Answer', run: () => (done = 'answered') }] },
    ]
    setKeys({ [keyId('Intake', 'Answer')]: 'y' })
    expect(bindingFor(new KeyboardEvent('keydown', { key: 'a' }), groups)).toBeUndefined()
    bindingFor(new KeyboardEvent('keydown', { key: 'y' }), groups)?.run(
      new KeyboardEvent('keydown'),
    )
    expect(done).toBe('answered')
    setKeys({})
  })
})
