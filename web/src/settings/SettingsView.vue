<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import AccountPage from '@/settings/AccountPage.vue'
import CategoriesPage from '@/settings/CategoriesPage.vue'
import CapturePage from '@/settings/CapturePage.vue'
import KeysPage from '@/settings/KeysPage.vue'
import PhrasesPage from '@/settings/PhrasesPage.vue'
import RecipesPage from '@/settings/RecipesPage.vue'
import SendersPage from '@/settings/SendersPage.vue'
import SourcesPage from '@/settings/SourcesPage.vue'
import WorkingTimePage from '@/settings/WorkingTimePage.vue'

const route = useRoute()
const PAGES = [
  { name: 'Sources', to: '/settings/sources' },
  { name: 'Categories', to: '/settings/categories' },
  { name: 'Working time', to: '/settings/working-time' },
  { name: 'Senders', to: '/settings/senders' },
  { name: 'Recipes', to: '/settings/recipes' },
  { name: 'Phrases', to: '/settings/phrases' },
  { name: 'Capture', to: '/settings/capture' },
  { name: 'Keys', to: '/settings/keys' },
  { name: 'Account', to: '/settings/account' },
]
const page = computed(() =>
  typeof route.params.page === 'string' && route.params.page ? route.params.page : 'sources',
)
</script>

<template>
  <div class="relative h-full overflow-auto px-3 py-3 sm:px-6">
    <div class="mx-auto flex max-w-5xl flex-col gap-4 sm:flex-row sm:gap-8">
      <nav class="flex shrink-0 flex-wrap gap-1 sm:w-36 sm:flex-col" aria-label="Settings">
        <RouterLink
          v-for="each in PAGES"
          :key="each.to"
          :to="each.to"
          class="rounded px-2 py-1"
          :class="
            each.to.endsWith(page) ? 'bg-kelp-wash text-kelp font-semibold' : 'hover:text-kelp'
          "
          :aria-current="each.to.endsWith(page) ? 'page' : undefined"
          >{{ each.name }}</RouterLink
        >
      </nav>
      <div class="min-w-0 flex-1">
        <SourcesPage v-if="page === 'sources'" />
        <CategoriesPage v-else-if="page === 'categories'" />
        <WorkingTimePage v-else-if="page === 'working-time'" />
        <SendersPage v-else-if="page === 'senders'" />
        <RecipesPage v-else-if="page === 'recipes'" />
        <PhrasesPage v-else-if="page === 'phrases'" />
        <CapturePage v-else-if="page === 'capture'" />
        <KeysPage v-else-if="page === 'keys'" />
        <AccountPage v-else />
      </div>
    </div>
  </div>
</template>
