<script setup lang="ts">
import { useRoute } from 'vue-router'

/** The name of the room with the ways into its parts. */
const PARTS = [
  { part: '', text: 'Ended' },
  { part: 'time', text: 'Time' },
  { part: 'figures', text: 'Figures' },
] as const

const route = useRoute()
const isHere = (part: string) => (route.params.part ?? '') === part
</script>

<template>
  <h1 class="mr-1 text-lg font-semibold">Record</h1>
  <nav class="mr-2 flex gap-1 print:hidden" aria-label="Parts of the record">
    <RouterLink
      v-for="each in PARTS"
      :key="each.part"
      class="rounded px-2 py-0.5 max-sm:py-3"
      :class="isHere(each.part) ? 'bg-kelp-wash text-kelp font-semibold' : 'hover:bg-surface'"
      :aria-current="isHere(each.part) ? 'page' : undefined"
      :data-test="`record-part-${each.part || 'ended'}`"
      :to="{ name: 'record', params: { part: each.part } }"
    >
      {{ each.text }}
    </RouterLink>
  </nav>
</template>
