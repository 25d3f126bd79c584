import { defineView } from '@/ui/views'

/** How things are done here, in plain words. */
export default defineView({
  name: 'Help',
  about: 'How things are done here, in plain words, to be looked up by a word.',
  order: 14,
  path: '/help/:topic?',
  inBar: false,
  component: () => import('@/help/HelpView.vue'),
  keys: {
    next: { key: 'ArrowDown', does: 'Next topic' },
    before: { key: 'ArrowUp', does: 'Topic before' },
    look: { key: 'l', does: 'Look for a word' },
  },
  listens: {},
  uses: [],
})
