import { defineView } from '@/ui/views'

/** Every change of a day, each with its way back. */
export default defineView({
  name: 'Changes',
  about: 'Everything you did on a day, each with its way back.',
  order: 12,
  path: '/changes/:day?',
  key: '0',
  inBar: false,
  component: () => import('@/changes/ChangesView.vue'),
  keys: {
    earlier: { key: 'ArrowLeft', does: 'The day before' },
    later: { key: 'ArrowRight', does: 'The day after' },
  },
  listens: {
    INTAKE: ['changes'],
    FOLLOW_UPS: ['changes'],
    THREADS: ['changes'],
    CATEGORIES: ['changes'],
    SOURCES: ['changes'],
    OUTBOX: ['changes'],
    READING: ['changes'],
    SETTINGS: ['changes'],
  },
  uses: [],
})
