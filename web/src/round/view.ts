import { defineView } from '@/ui/views'

/** The weekly walk through everything that is open, a step at a time. */
export default defineView({
  name: 'Round',
  about:
    'Once a week through everything that is open, a step at a time, so that nothing is forgotten.',
  order: 7,
  path: '/round',
  key: '8',
  inBar: 'wide',
  component: () => import('@/round/RoundView.vue'),
  keys: {
    next: { key: 'ArrowDown', does: 'Next line' },
    before: { key: 'ArrowUp', does: 'Line before' },
    open: { key: 'Enter', does: 'Open it' },
    stays: { key: 'l', does: 'Leave it as it is' },
    followUp: { key: 'f', does: 'Make a follow-up of it' },
    day: { key: 't', does: 'Give it a day' },
    done: { key: 'd', does: 'It is done' },
    drop: { key: 'x', does: 'Drop it, or nothing to do' },
    noReply: { key: 'o', does: 'No reply owed' },
    close: { key: 'c', does: 'Close the thread' },
    retire: { key: 'r', does: 'Retire the category' },
    back: { key: 'w', does: 'Bring it back now' },
    forth: { key: 'ArrowRight', does: 'Next step' },
    backwards: { key: 'ArrowLeft', does: 'Step before' },
  },
  listens: {
    ROUND: ['round'],
    INTAKE: ['round'],
    FOLLOW_UPS: ['round'],
    THREADS: ['round'],
    CATEGORIES: ['round'],
    CALENDARS: ['round'],
    PLAN: ['round'],
  },
  uses: ['capture', 'followups', 'threads'],
})
