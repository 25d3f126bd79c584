import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import ProofPage from '@/record/proof/ProofPage.vue'
import { fakeServer, opened, pressed } from '@/testing/fakeServer'

const { query } = vi.hoisted(() => ({ query: { thread: 't1' } }))
vi.mock('vue-router', () => ({
  useRoute: () => ({ query, params: { part: 'proof' } }),
  useRouter: () => ({ push: vi.fn() }),
}))

const BO = { name: 'Bo Ash', address: 'bo@ash.example' }
const PROVED = {
  about: 'Crane quote',
  madeFor: 'Ines Calloway',
  madeAt: '2026-03-04T10:40:00Z',
  zone: 'Europe/London',
  leftOut: 3,
  threads: [
    {
      id: 't1',
      subject: 'Crane quote',
      closedAt: null,
      closedFor: null,
      messagesLeftOut: 0,
      exchanges: [
        {
          kind: 'ASKED_ME' as const,
          other: BO,
          words: 'Could you send it?',
          asked: 1,
          askedAt: '2026-03-02T10:00:00Z',
          promised: null,
          promisedAt: null,
          promisedWords: '',
          outcome: 'ANSWERED' as const,
          answered: 2,
          answeredAt: '2026-03-02T11:30:00Z',
          workingMinutes: 90,
        },
      ],
      messages: [
        {
          number: 1,
          id: 'm1',
          channel: 'MAIL' as const,
          direction: 'INCOMING' as const,
          from: BO,
          to: [{ name: 'Ines', address: 'ines@merrowquay.example' }],
          cc: [],
          subject: 'Crane quote',
          sentAt: '2026-03-02T10:00:00Z',
          receivedAt: '2026-03-02T10:00:05Z',
          identity: 'q@ash.example',
          file: '001.eml',
          sha256: 'abc123',
          words: 'Could you send it?',
          cut: false,
          removed: false,
        },
      ],
    },
  ],
}
let server: ReturnType<typeof fakeServer>

beforeEach(() => {
  server = fakeServer()
  for (const name of Object.keys(query)) {
    Reflect.deleteProperty(query, name)
  }
})
afterEach(() => {
  vi.restoreAllMocks()
  document.body.innerHTML = ''
})

describe('the proof', () => {
  it('says what was asked and answered, how long it took, and with which message', async () => {
    query.thread = 't1'
    server.answers('GET', '/api/threads/{id}/proof', PROVED)
    const page = await opened(ProofPage)
    const exchange = page.find('[data-test=exchange]').text()
    expect(exchange).toContain('Bo Ash asked me')
    expect(exchange).toContain('“Could you send it?”')
    expect(exchange).toContain('after 1 h')
    const message = page.find('[data-test=proved-message]').text()
    expect(message).toContain('q@ash.example')
    expect(message).toContain('abc123')
  })

  it('asks of what it shall be where nothing is said', async () => {
    const page = await opened(ProofPage)
    expect(page.text()).toContain('Of what shall it be?')
    expect(server.sentTo('GET', '/api/record/proof')).toHaveLength(0)
  })

  it('that cannot be made says why, and is tried again', async () => {
    query.thread = 't1'
    server.refuses('GET', '/api/threads/{id}/proof', 'There is no such thread.')
    const page = await opened(ProofPage)
    await vi.waitFor(() => {
      expect(page.text()).toContain('There is no such thread.')
    })
    server.answers('GET', '/api/threads/{id}/proof', PROVED)
    await pressed(page, 'Try again')
    expect(page.text()).toContain('Bo Ash asked me')
  })
})
