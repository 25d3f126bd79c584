import { defineView } from '@/ui/views'

export default defineView({
  name: 'Threads',
  order: 3,
  path: '/threads/:id?',
  key: '4',
  inBar: true,
  component: () => import('@/threads/ThreadsView.vue'),
  keys: {
    withMe: { key: 'm', does: 'With me' },
    withOthers: { key: 'o', does: 'With others' },
    closed: { key: 'e', does: 'Closed' },
    next: { key: 'ArrowDown', does: 'Next thread' },
    before: { key: 'ArrowUp', does: 'Thread before' },
    round: { key: 'r', does: 'Chase round' },
  },
  listens: { THREADS: ['threads', 'thread', 'chases'], OUTBOX: ['thread', 'chases'] },
  uses: ['message'],
})
