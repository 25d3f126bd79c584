<script setup lang="ts">
import type { ThreadLine } from '@/api/client'
import { awaitedText, besides, byText, debtText, turnText } from '@/threads/words'

/** Who owes what in a thread and by when, a line each; of a closed one, how it stands. */
const { line, closed, minutesOfADay } = defineProps<{
  line: ThreadLine
  closed: boolean
  minutesOfADay: number
}>()
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
      v-for="one in line.awaited"
      :key="one.name + one.messageId"
      class="truncate"
      :title="[`${one.name}: ${awaitedText(one)}`, ...besides(one, minutesOfADay)].join(', ')"
    >
      <b class="text-dusk mr-1"
        ><bdi>{{ one.name }}</bdi></b
      >
      <span v-if="besides(one, minutesOfADay).length" class="text-brass-ink mr-1"
        >{{ besides(one, minutesOfADay).join(', ') }}:</span
      >
      <bdi>{{ awaitedText(one) }}</bdi>
    </p>
  </template>
</template>
