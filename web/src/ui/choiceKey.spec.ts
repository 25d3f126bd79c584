import { describe, expect, it } from 'vitest'
import { choiceKey } from '@/ui/choiceKey'

describe('a key beside quick choices', () => {
  const panel = document.createElement('div')
  panel.innerHTML = '<input data-test="typed-day"><button>tomorrow</button>'
  document.body.append(panel)
  const button = panel.querySelector('button')
  const field = panel.querySelector('input')

  function press(key: string, on: EventTarget | null): string | undefined {
    let found: string | undefined
    const listen = (event: Event) => {
      found = choiceKey(event as KeyboardEvent, ['today', 'tomorrow'], panel)
    }
    panel.addEventListener('keydown', listen, { once: true })
    on?.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }))
    return found
  }

  it('takes a choice by its digit, but never while a date is typed', () => {
    expect(press('2', button)).toBe('tomorrow')
    expect(press('2', field)).toBeUndefined()
    expect(press('9', button)).toBeUndefined()
  })

  it('leads a letter into the field', () => {
    button?.focus()
    expect(press('f', button)).toBeUndefined()
    expect(document.activeElement).toBe(field)
  })
})
