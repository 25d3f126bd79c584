<script setup lang="ts">
import { diffWordsWithSpace } from 'diff'
import { computed } from 'vue'
import MessageText from '@/message/MessageText.vue'

/** A message as it was kept; what its writer has changed since then is marked, word by word. */
const { then, now, sentence } = defineProps<{
  then: string
  /** Its text now, when it differs. */
  now: string | null
  /** The sentence that the follow-up is about, empty for the whole. */
  sentence: string
}>()
const parts = computed(() => (now === null ? [] : diffWordsWithSpace(then, now)))
const marks = computed(() => {
  const words = sentence.split(' ').map((word) => word.replace(/[.*+?^${}()|[\]\\]/g, '\\$&'))
  const place = sentence === '' ? null : new RegExp(words.join('\\s+')).exec(then)
  return place
    ? [
        {
          from: place.index,
          to: place.index + place[0].length,
          kind: 'ASK' as const,
          why: 'what this follow-up is about',
        },
      ]
    : []
})
</script>

<template>
  <p
    v-if="parts.length"
    class="max-w-[72ch] text-[15px] leading-relaxed wrap-anywhere whitespace-pre-wrap"
    data-test="changed-since"
  >
    <template v-for="(part, i) in parts" :key="i"
      ><del v-if="part.removed" class="text-ink-soft">{{ part.value }}</del
      ><ins v-else-if="part.added" class="bg-brass-wash decoration-brass underline">{{
        part.value
      }}</ins
      ><template v-else>{{ part.value }}</template></template
    >
  </p>
  <MessageText v-else :text="then" :marks="marks" />
</template>
