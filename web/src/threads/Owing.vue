<script setup lang="ts">
import { computed } from 'vue'
import type { ThreadLine } from '@/api/client'
import { awaitedText, besides, byText, debtText, turnText } from '@/threads/words'

/** Who owes what in a thread and by when, a line each; of a closed one, how it stands. */
const { line, closed } = defineProps<{ line: ThreadLine; closed: boolean }>()

const awaited = computed(() => line.awaited.map((one) => ({ one, more: besides(one) })))
</script>

<template>
  <template v-if="closed">{{ turnText(line) }}</template>
  <template v-else>
    <p
      v-for="debt in line.debts"
      :key="debt.messageId + debt.reason"
      class="truncate"
      :title="`${debt.to}: ${debtText(debt)}`"
    >
      <b v-if="debt.byDay" class="mr-1" :class="debt.late ? 'text-rust' : 'text-brass-ink'">{{
        byText(debt)
      }}</b><bdi>{{ debtText(debt) }}</bdi>
      <span v-if="debt.answeredBy" class="text-ink-soft"> answered by {{ debt.answeredBy }}</span>
    </p>
    <p
      v-for="{ one, more } in awaited"
      :key="one.name + one.messageId"
      class="truncate"
      :title="[`${one.name}: ${awaitedText(one)}`, ...more].join(', ')"
    >
      <b class="text-dusk mr-1"
        ><bdi>{{ one.name }}</bdi></b
      >
      <span v-if="more.length" class="text-brass-ink mr-1">{{ more.join(', ') }}:</span>
      <bdi>{{ awaitedText(one) }}</bdi>
    </p>
  </template>
</template>
