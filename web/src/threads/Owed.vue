<script setup lang="ts">
import { computed } from 'vue'
import type { ThreadLine } from '@/api/client'
import { awaitedText, besides, byText, chaseText, debtText } from '@/threads/words'
import PersonName from '@/ui/PersonName.vue'
import { moment, today, workingSpan } from '@/ui/time'

/** What I owe in a thread and what each of the others owes me, since when and by when. */
const { line } = defineProps<{ line: ThreadLine }>()

const awaited = computed(() =>
  line.awaited.map((one) => ({ one, chase: chaseText(one, today()), more: besides(one) })),
)
</script>

<template>
  <dl
    v-if="line.debts.length || line.awaited.length"
    class="mt-2 grid grid-cols-[max-content_1fr] gap-x-3 gap-y-1"
    data-test="owed"
  >
    <template v-for="debt in line.debts" :key="debt.messageId + debt.reason">
      <dt class="text-kelp font-semibold">
        I owe <PersonName :name="debt.to" :address="debt.address" />
      </dt>
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
    <template v-for="{ one, chase, more } in awaited" :key="one.name + one.messageId">
      <dt class="text-dusk font-semibold">
        <PersonName :name="one.name" :address="one.address" /> owes me
      </dt>
      <dd>
        <span class="wrap-anywhere">{{ awaitedText(one) }}</span>
        <span class="text-ink-soft">
          since {{ moment(one.since) }}, silent for
          {{ workingSpan(one.silenceWorkingMinutes) }}</span
        >
        <span v-for="each in more" :key="each">, {{ each }}</span
        >;
        <span :class="chase.due ? 'text-brass-ink font-semibold' : ''" data-test="chase-on">{{
          chase.due ? 'to be chased now' : `to be chased on ${chase.text}`
        }}</span>
        <span class="text-ink-soft"> ({{ chase.why }})</span>
      </dd>
    </template>
  </dl>
</template>
