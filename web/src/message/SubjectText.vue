<script setup lang="ts">
import { computed } from 'vue'
import type { Mark } from '@/api/client'
import { textParts } from '@/message/textParts'

/** A subject, with the date boxed that was found in it. */
const { text, mark } = defineProps<{ text: string; mark: Mark | null }>()
const parts = computed(() => textParts(text, mark ? [mark] : []))
</script>

<template>
  <template v-for="(part, i) in parts" :key="i"
    ><mark
      v-if="part.date"
      class="border-brass rounded-[3px] border bg-transparent px-0.5 text-inherit"
      :title="part.date.why"
      >{{ part.text }}</mark
    ><template v-else>{{ part.text }}</template></template
  >
</template>
