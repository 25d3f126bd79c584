import { defineView } from '@/ui/views'

export default defineView({
  name: 'Follow-ups',
  order: 2,
  path: '/follow-ups/:id?',
  key: '3',
  inBar: true,
  component: () => import('@/followups/FollowUpsView.vue'),
  keys: {
    done: { key: 'd', does: 'Done, or open again' },
    open: { key: 'Enter', does: 'Open the follow-up' },
    next: { key: 'ArrowDown', does: 'Next follow-up' },
    before: { key: 'ArrowUp', does: 'Follow-up before' },
  },
  listens: { FOLLOW_UPS: ['follow-ups', 'follow-up'] },
  uses: ['message', 'threads'],
})
