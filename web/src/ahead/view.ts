import { defineView } from '@/ui/views'

export default defineView({
  name: 'Ahead',
  about:
    'Whether what you have promised fits the days ahead: each day with its meetings, its work and the time that is left.',
  order: 4,
  path: '/ahead/:id?',
  key: '5',
  inBar: true,
  component: () => import('@/ahead/AheadView.vue'),
  keys: {
    fit: { key: 'm', does: 'Make it fit' },
    toDay: { key: 't', does: 'To another day' },
    sooner: { key: 'ArrowLeft', shift: true, does: 'To the working day before' },
    later: { key: 'ArrowRight', shift: true, does: 'To the next working day' },
    out: { key: 'x', does: 'Not planned' },
    done: { key: 'd', does: 'Done' },
    pick: { key: ' ', does: 'Pick, or take out again' },
    open: { key: 'Enter', does: 'Open the follow-up' },
    left: { key: 'ArrowLeft', shift: false, does: 'Day before' },
    right: { key: 'ArrowRight', shift: false, does: 'Next day' },
    next: { key: 'ArrowDown', does: 'Next follow-up' },
    before: { key: 'ArrowUp', does: 'Follow-up before' },
  },
  listens: { PLAN: ['ahead'], FOLLOW_UPS: ['ahead'], CALENDARS: ['ahead'], SETTINGS: ['ahead'] },
  uses: ['today', 'followups'],
})
