import { afterEach, describe, expect, it, vi } from 'vitest'
import SessionsSection from '@/settings/SessionsSection.vue'
import { fakeServer, opened, pressed } from '@/testing/fakeServer'

afterEach(() => {
  vi.restoreAllMocks()
  document.body.innerHTML = ''
})

const session = (id: string, current: boolean) => ({
  id,
  device: 'Chrome on Linux',
  since: '2026-03-02T09:00:00Z',
  lastSeenAt: '2026-03-04T09:00:00Z',
  current,
})

describe('where somebody is signed in', () => {
  it('can be ended one by one, but for this browser', async () => {
    const server = fakeServer()
    server.answers('GET', '/api/sessions', [session('s1', true), session('s2', false)])
    server.answers('DELETE', '/api/sessions/{id}', undefined)
    const page = await opened(SessionsSection)
    const ends = page.findAll('button').filter((one) => one.text() === 'Sign out there')
    expect(ends).toHaveLength(1)
    expect(page.text()).not.toContain('Sign out everywhere else')
    await pressed(page, 'Sign out there')
    expect(server.sentTo('DELETE', '/api/sessions/{id}')[0]?.params).toEqual({ path: { id: 's2' } })
  })

  it('can be ended everywhere else at once', async () => {
    const server = fakeServer()
    server.answers(
      'GET',
      '/api/sessions',
      ['a', 'b', 'c'].map((id) => session(id, id === 'a')),
    )
    server.answers('DELETE', '/api/sessions', { sessions: 2 })
    const page = await opened(SessionsSection)
    await pressed(page, 'Sign out everywhere else')
    expect(server.sentTo('DELETE', '/api/sessions')).toHaveLength(1)
  })
})
