<script setup lang="ts">
import { computed, useTemplateRef } from 'vue'
import type { CaptureItem } from '@/api/client'
import { stretchesOf } from '@/capture/stretches'

/** The line as it is typed; what is understood as a part of the follow-up is marked in it, and it grows with the text. */
const props = defineProps<{ text: string; read: string; words: CaptureItem['words'] }>()
const emit = defineEmits<{ typed: [text: string] }>()
const field = useTemplateRef<HTMLTextAreaElement>('field')
const stretches = computed(() => stretchesOf(props.text, props.read, props.words))

defineExpose({ focus: () => field.value?.focus() })
</script>

<template>
  <div class="mt-1.5 grid max-h-72 overflow-auto text-[15px] leading-6">
    <pre
      class="col-start-1 row-start-1 m-0 min-h-10 border border-transparent p-2 font-sans break-words whitespace-pre-wrap text-transparent"
      aria-hidden="true"
    ><template v-for="(stretch, i) in stretches" :key="i"><mark v-if="stretch.kind" class="bg-kelp-wash rounded-sm text-transparent shadow-[0_2px_0_var(--color-kelp)]" data-test="capture-words">{{ stretch.text }}</mark><template v-else>{{ stretch.text }}</template></template>{{ '\n' }}</pre>
    <textarea
      ref="field"
      class="field col-start-1 row-start-1 h-auto resize-none overflow-hidden !bg-transparent p-2 text-[15px] leading-6"
      :value="text"
      rows="1"
      placeholder="call the crane firm about the quote by Friday, 15 min, Crane"
      aria-label="What is to be done, by when, how long, in which category"
      data-test="capture-field"
      @input="(event) => emit('typed', (event.target as HTMLTextAreaElement).value)"
    />
  </div>
</template>
