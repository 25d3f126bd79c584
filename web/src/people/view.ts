import { defineView } from '@/ui/views'

/** Everybody, with all their addresses and what is open with them. */
export default defineView({
  name: 'People',
  about:
    'Everybody you have to do with: what you owe them, what they owe you, what to talk about next time.',
  order: 10,
  path: '/people/:id?',
  key: '6',
  inBar: false,
  component: () => import('@/people/PeopleView.vue'),
  keys: {
    next: { key: 'ArrowDown', does: 'Next person' },
    before: { key: 'ArrowUp', does: 'Person before' },
    matter: { key: 't', does: 'Something for the next talk' },
    look: { key: 'l', does: 'Look for somebody' },
  },
  listens: {
    PEOPLE: ['people', 'person', 'talks'],
    CALENDARS: ['person', 'talks'],
    SETTINGS: ['party-rules', 'chase-settings'],
    THREADS: ['people', 'person'],
    FOLLOW_UPS: ['person'],
    SEARCHES: ['people'],
  },
  uses: [],
})
