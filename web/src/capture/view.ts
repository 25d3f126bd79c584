import { defineView } from '@/ui/views'

/** Where text comes in that another program shares. */
export default defineView({
  name: 'Capture',
  about: 'Text that another program shares becomes a follow-up.',
  order: 10,
  path: '/capture',
  inBar: false,
  component: () => import('@/capture/SharedPage.vue'),
  keys: {},
  listens: {},
  uses: ['followups'],
})
