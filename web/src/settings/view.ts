import { SETTINGS_PAGES } from '@/settings/pages'
import { defineView } from '@/ui/views'

export default defineView({
  name: 'Settings',
  about: 'Where messages come from, how you work, and what is yours.',
  order: 9,
  path: `/settings/:page(${SETTINGS_PAGES.map((page) => page.slug).join('|')})?`,
  key: '9',
  inBar: true,
  component: () => import('@/settings/SettingsView.vue'),
  keys: {},
  listens: {
    SETTINGS: ['phrases', 'recipes', 'working-time', 'chase-settings', 'webhooks'],
    READING: ['party-rules'],
    CALENDARS: ['block-calendar', 'task-list'],
    FOLLOW_UPS: ['task-list'],
  },
  uses: [],
})
