import { defineView } from '@/ui/views'

/** Everything in reach, by a few words. */
export default defineView({
  name: 'Find',
  order: 11,
  path: '/find',
  key: '/',
  inBar: false,
  component: () => import('@/find/FindView.vue'),
  keys: {},
  listens: { SEARCHES: ['found', 'kept-searches'], CATEGORIES: ['found'] },
  uses: [],
})
