<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { SETTINGS_PAGES } from '@/settings/pages'

const route = useRoute()
const shown = computed(
  () => SETTINGS_PAGES.find((page) => page.slug === route.params.page) ?? SETTINGS_PAGES[0],
)
</script>

<template>
  <div class="relative h-full overflow-auto px-3 py-3 sm:px-6">
    <div class="mx-auto flex max-w-5xl flex-col gap-4 sm:flex-row sm:gap-8">
      <nav class="flex shrink-0 flex-wrap gap-1 sm:w-36 sm:flex-col" aria-label="Settings">
        <RouterLink
          v-for="page in SETTINGS_PAGES"
          :key="page.slug"
          :to="`/settings/${page.slug}`"
          class="rounded px-2 py-1 max-sm:py-2.5"
          :class="page === shown ? 'bg-kelp-wash text-kelp font-semibold' : 'hover:text-kelp'"
          :aria-current="page === shown ? 'page' : undefined"
          >{{ page.name }}</RouterLink
        >
      </nav>
      <div class="min-w-0 flex-1">
        <component :is="shown?.component" />
      </div>
    </div>
  </div>
</template>
