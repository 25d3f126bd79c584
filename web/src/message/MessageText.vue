<script setup lang="ts">
import { computed } from 'vue'
import { textParts } from '@/message/textParts'

const { text, ask = null } = defineProps<{ text: string; ask?: string | null }>()
const parts = computed(() => textParts(text, ask))
</script>

<template>
  <p class="max-w-[72ch] text-[15px] leading-relaxed wrap-anywhere whitespace-pre-wrap">
    <template v-for="(part, i) in parts" :key="i"
      ><a
        v-if="part.kind === 'link'"
        class="text-kelp underline"
        :href="part.text"
        target="_blank"
        rel="noopener noreferrer"
        >{{ part.text }}</a
      ><span
        v-else-if="part.kind === 'ask'"
        class="decoration-brass underline decoration-2 underline-offset-4"
        data-test="ask"
        >{{ part.text }}</span
      ><template v-else>{{ part.text }}</template></template
    >
  </p>
</template>
