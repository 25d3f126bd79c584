import { defineView } from '@/ui/views'

/** Everything that ended, with its stamps. */
export default defineView({
  name: 'Record',
  order: 6,
  path: '/record',
  key: '7',
  inBar: 'wide',
  component: () => import('@/record/RecordView.vue'),
  keys: {
    next: { key: 'ArrowDown', does: 'Next' },
    before: { key: 'ArrowUp', does: 'Before' },
    open: { key: 'Enter', does: 'Open the follow-up' },
    message: { key: 'm', does: 'Go to the message' },
    note: { key: 'n', does: 'Note something on it' },
  },
  listens: { FOLLOW_UPS: ['record'], CATEGORIES: ['record'], PLAN: ['record'] },
  uses: [],
})
