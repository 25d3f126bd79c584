<script setup lang="ts">
import { computed } from 'vue'
import type { Mark } from '@/api/client'
import { textParts, type TextPart } from '@/message/textParts'

const { text, marks = [] } = defineProps<{ text: string; marks?: readonly Mark[] }>()
const parts = computed(() => textParts(text, marks))

const SENTENCE: Record<Mark['kind'], string> = {
  ASK: 'decoration-brass underline decoration-2 underline-offset-4',
  PROMISE: 'decoration-dusk underline decoration-1 underline-offset-4',
  HINT: 'decoration-line-strong underline decoration-dotted decoration-2 underline-offset-4',
  DATE: '',
}

function classes(part: TextPart): string[] {
  return [
    part.sentence ? SENTENCE[part.sentence.kind] : '',
    part.date ? 'border-brass rounded-[3px] border px-0.5' : '',
  ]
}

function why(part: TextPart): string {
  return [part.date?.why, part.sentence?.why].filter(Boolean).join('; ')
}
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
      ><mark
        v-else-if="part.date || part.sentence"
        class="bg-transparent text-inherit"
        :class="classes(part)"
        :title="why(part)"
        :data-test="part.date ? 'date' : part.sentence?.kind.toLowerCase()"
        >{{ part.text }}</mark
      ><template v-else>{{ part.text }}</template></template
    >
  </p>
</template>
