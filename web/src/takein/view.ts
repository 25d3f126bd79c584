import { defineView } from '@/ui/views'

/** What other programs have kept: follow-ups, messages, meetings, people. */
export default defineView({
  name: 'Take in',
  about:
    'What other programs have kept comes in as a file: follow-ups, messages, meetings, people.',
  order: 13,
  path: '/take-in',
  inBar: false,
  component: () => import('@/takein/TakeInView.vue'),
  keys: {
    next: { key: 'ArrowDown', does: 'Next line' },
    before: { key: 'ArrowUp', does: 'Line before' },
    toggle: { key: ' ', does: 'Take this line, or leave it out' },
    take: { key: 'Enter', does: 'Take them in' },
  },
  listens: {},
  uses: ['people'],
})
