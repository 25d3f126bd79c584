<script setup lang="ts">
import { useIntake } from '@/api/queries'
import { addressOf, VIEWS } from '@/ui/views'

/** The ways to the views: along the top, and at the thumb of a narrow page, where what does not fit is scrolled to. */
const { narrow } = defineProps<{ narrow: boolean }>()
const intake = useIntake()
const inBar = VIEWS.filter((view) => view.inBar).map((view) => ({ ...view, to: addressOf(view) }))
</script>

<template>
  <nav
    class="flex min-w-0 gap-1"
    :class="
      narrow
        ? 'border-line bg-surface h-13 shrink-0 overflow-x-auto border-t'
        : 'h-full flex-1 overflow-x-auto'
    "
    aria-label="Views"
  >
    <RouterLink
      v-for="view in inBar"
      :key="view.to"
      :to="view.to"
      class="flex h-full items-center justify-center gap-1.5 whitespace-nowrap"
      :class="[
        narrow ? 'min-w-16 flex-1 border-t-2 px-2' : 'border-b-2 px-2.5',
        $route.path.startsWith(view.to)
          ? 'border-kelp text-kelp font-semibold'
          : 'hover:text-kelp border-transparent',
      ]"
      :aria-current="$route.path.startsWith(view.to) ? 'page' : undefined"
    >
      {{ view.name }}
      <span
        v-if="view.to === '/intake' && intake.data.value && intake.data.value.total > 0"
        class="bg-kelp-wash text-kelp rounded px-1 text-xs font-semibold"
        >{{ intake.data.value.total }}<span class="sr-only"> undecided messages</span></span
      >
    </RouterLink>
  </nav>
</template>
