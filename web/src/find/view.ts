import { defineView } from '@/ui/views'

/** Everything in reach, by a few words. */
export default defineView({
  name: 'Find',
  about: 'Everything in reach by a few words: messages, follow-ups, people, files.',
  order: 11,
  path: '/find',
  key: '/',
  inBar: false,
  component: () => import('@/find/FindView.vue'),
  keys: {},
  listens: { SEARCHES: ['found', 'kept-searches'], CATEGORIES: ['found'] },
  uses: [],
})
