import { defineAsyncComponent, type Component } from 'vue'

interface SettingsPage {
  name: string
  slug: string
  component: Component
}

/** The pages of the settings, in their order; the first one is shown first. */
export const SETTINGS_PAGES: readonly SettingsPage[] = [
  page('Sources', 'sources', () => import('@/settings/SourcesPage.vue')),
  page('Categories', 'categories', () => import('@/settings/CategoriesPage.vue')),
  page('Working time', 'working-time', () => import('@/settings/WorkingTimePage.vue')),
  page('Reminders', 'reminders', () => import('@/settings/RemindersPage.vue')),
  page('Chasing', 'chasing', () => import('@/settings/ChasingPage.vue')),
  page('Senders', 'senders', () => import('@/settings/SendersPage.vue')),
  page('Recipes', 'recipes', () => import('@/settings/RecipesPage.vue')),
  page('Phrases', 'phrases', () => import('@/settings/PhrasesPage.vue')),
  page('Capture', 'capture', () => import('@/settings/CapturePage.vue')),
  page('Keys', 'keys', () => import('@/settings/KeysPage.vue')),
  page('Scripts', 'scripts', () => import('@/settings/ScriptsPage.vue')),
  page('Account', 'account', () => import('@/settings/AccountPage.vue')),
]

function page(
  name: string,
  slug: string,
  load: () => Promise<{ default: Component }>,
): SettingsPage {
  return { name, slug, component: defineAsyncComponent(load) }
}
