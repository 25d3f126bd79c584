import { defineView } from '@/ui/views'

export default defineView({
  name: 'Today',
  about: 'What this day asks of you, laid into the hours that your meetings leave.',
  order: 0,
  path: '/today/:id?',
  key: '1',
  inBar: true,
  component: () => import('@/today/TodayView.vue'),
  keys: {
    plan: { key: 'p', does: 'Plan the day' },
    fit: { key: 'm', does: 'Make it fit' },
    through: { key: 't', does: 'Work through it' },
    done: { key: 'd', does: 'Done' },
    clock: { key: 'w', does: 'Start or stop the clock' },
    worked: { key: 'e', does: 'Enter time worked' },
    time: { key: 'b', does: 'Give it a time of its own' },
    out: { key: 'x', does: 'Not today' },
    open: { key: 'Enter', does: 'Open the follow-up' },
    earlier: { key: 'ArrowUp', shift: true, does: 'Earlier in the day' },
    later: { key: 'ArrowDown', shift: true, does: 'Later in the day' },
    next: { key: 'ArrowDown', shift: false, does: 'Next follow-up' },
    before: { key: 'ArrowUp', shift: false, does: 'Follow-up before' },
  },
  listens: {
    PLAN: ['today', 'day'],
    FOLLOW_UPS: ['today', 'day'],
    THREADS: ['today'],
    CALENDARS: ['today', 'calendars', 'day'],
    SETTINGS: ['today'],
  },
  uses: ['followups', 'intake'],
})
