import { defineView } from '@/ui/views'

/** Where text comes in that another program shares. */
export default defineView({
  name: 'Capture',
  order: 10,
  path: '/capture',
  inBar: false,
  component: () => import('@/capture/SharedPage.vue'),
  keys: {},
  listens: {},
  uses: ['followups'],
})
