import { defineView } from '@/ui/views'

/** Everything that ended, with its stamps. */
export default defineView({
  name: 'Record',
  about:
    'Everything that has ended, with when it was asked, answered and done; with proof, time spent and figures.',
  order: 6,
  path: '/record/:part?',
  key: '7',
  inBar: 'wide',
  component: () => import('@/record/RecordView.vue'),
  keys: {
    next: { key: 'ArrowDown', does: 'Next' },
    before: { key: 'ArrowUp', does: 'Before' },
    open: { key: 'Enter', does: 'Open the follow-up' },
    message: { key: 'm', does: 'Go to the message' },
    note: { key: 'n', does: 'Note something on it' },
    prove: { key: 'b', does: 'Prove what was asked and answered' },
    paper: { key: 'p', does: 'Save the page as PDF' },
    correct: { key: 'c', does: 'Correct a time' },
    remove: { key: 'x', does: 'Take a time away that was none' },
    add: { key: 'a', does: 'Write down time that was spent' },
  },
  listens: {
    FOLLOW_UPS: ['record', 'figures'],
    CATEGORIES: ['record', 'figures'],
    PLAN: ['record', 'spent', 'running-clock'],
    SETTINGS: ['spent', 'time-wishes'],
  },
  uses: ['today', 'threads'],
})
