<script setup lang="ts">
import { computed } from 'vue'
import { useIntake } from '@/api/queries'
import { heldBack } from '@/reminders/words'
import { addressOf, VIEWS } from '@/ui/views'

/** The ways to the views: along the top, and at the thumb of a narrow page, where what does not fit is scrolled to. */
const { narrow } = defineProps<{ narrow: boolean }>()
const intake = useIntake()
/** What has come since the last sitting is not counted before the next one. */
const told = computed(
  () => (intake.data.value?.total ?? 0) - (intake.data.value?.heldBack?.count ?? 0),
)
const heldBackWords = computed(() => heldBack(intake.data.value?.heldBack ?? null))
const inBar = computed(() =>
  VIEWS.filter((view) => (narrow ? view.inBar === true : view.inBar)).map((view) => ({
    ...view,
    to: addressOf(view),
  })),
)
</script>

<template>
  <nav
    class="flex min-w-0"
    :class="
      narrow
        ? 'border-line bg-surface h-13 shrink-0 overflow-x-auto border-t'
        : 'h-full flex-1 gap-1 overflow-x-auto'
    "
    aria-label="Views"
  >
    <RouterLink
      v-for="view in inBar"
      :key="view.to"
      :to="view.to"
      class="flex h-full items-center justify-center gap-1.5 whitespace-nowrap"
      :class="[
        narrow ? 'min-w-12 shrink-0 grow border-t-2 px-1.5' : 'border-b-2 px-2.5',
        $route.path.startsWith(view.to)
          ? 'border-kelp text-kelp font-semibold'
          : 'hover:text-kelp border-transparent',
      ]"
      :aria-current="$route.path.startsWith(view.to) ? 'page' : undefined"
    >
      {{ view.name }}
      <span
        v-if="view.to === '/intake' && told > 0"
        class="bg-kelp-wash text-kelp rounded px-1 text-xs font-semibold"
        :title="heldBackWords"
        >{{ told }}<span class="sr-only"> undecided messages</span></span
      >
    </RouterLink>
  </nav>
</template>
