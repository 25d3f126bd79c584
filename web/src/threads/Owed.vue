<script setup lang="ts">
import type { ThreadLine } from '@/api/client'
import { awaitedText, besides, byText, chaseText, debtText } from '@/threads/words'
import { moment, today, workingSpan } from '@/ui/time'

/** What I owe in a thread and what each of the others owes me, since when and by when. */
const { line, minutesOfADay } = defineProps<{ line: ThreadLine; minutesOfADay: number }>()
</script>

<template>
  <dl
    v-if="line.debts.length || line.awaited.length"
    class="mt-2 grid grid-cols-[max-content_1fr] gap-x-3 gap-y-1"
    data-test="owed"
  >
    <template v-for="debt in line.debts" :key="debt.messageId + debt.reason">
      <dt class="text-kelp font-semibold">I owe {{ debt.to }}</dt>
      <dd>
        <b v-if="debt.byDay" class="mr-1" :class="debt.late ? 'text-rust' : 'text-brass-ink'">{{
          byText(debt)
        }}</b>
        <span class="wrap-anywhere">{{ debtText(debt) }}</span>
        <span class="text-ink-soft"> since {{ moment(debt.since) }}</span>
        <span v-if="debt.answeredBy" class="text-ink-soft"
          >; answered by {{ debt.answeredBy }}</span
        >
      </dd>
    </template>
    <template v-for="one in line.awaited" :key="one.name + one.messageId">
      <dt class="text-dusk font-semibold">{{ one.name }} owes me</dt>
      <dd>
        <span class="wrap-anywhere">{{ awaitedText(one) }}</span>
        <span class="text-ink-soft">
          since {{ moment(one.since) }}, silent for
          {{ workingSpan(one.silenceWorkingMinutes) }}</span
        >
        <span v-for="each in besides(one, minutesOfADay)" :key="each">, {{ each }}</span
        >;
        <span
          :class="chaseText(one, today()).due ? 'text-brass-ink font-semibold' : ''"
          data-test="chase-on"
          >{{
            chaseText(one, today()).due
              ? 'to be reminded now'
              : `to be reminded on ${chaseText(one, today()).text}`
          }}</span
        >
        <span class="text-ink-soft"> ({{ chaseText(one, today()).why }})</span>
      </dd>
    </template>
  </dl>
</template>
