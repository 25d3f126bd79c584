import { describe, expect, it } from 'vitest'
import { addressOf, VIEWS } from '@/ui/views'

describe('the views', () => {
  it('are found by their folders, in their order', () => {
    expect(VIEWS.map((view) => view.name)).toEqual([
      'Today',
      'Intake',
      'Follow-ups',
      'Threads',
      'Ahead',
      'Record',
      'Round',
      'Settings',
      'Capture',
      'People',
      'Find',
      'Changes',
      'Take in',
      'Help',
    ])
    expect(VIEWS.map((view) => view.order)).toEqual(
      [...VIEWS.map((view) => view.order)].sort((a, b) => a - b),
    )
  })

  it('have addresses and keys of their own', () => {
    const addresses = VIEWS.map(addressOf)
    expect(new Set(addresses).size).toBe(addresses.length)
    const leading = VIEWS.flatMap((view) => (view.key ? [view.key] : []))
    expect(new Set(leading).size).toBe(leading.length)
    for (const view of VIEWS) {
      const keys = Object.values(view.keys).map((each) => `${String(each.shift ?? '')} ${each.key}`)
      expect(new Set(keys).size, view.name).toBe(keys.length)
    }
  })

  it('can be opened', { timeout: 60_000 }, async () => {
    for (const view of VIEWS) {
      expect((await view.component()).default, view.name).toBeTruthy()
    }
  })
})
