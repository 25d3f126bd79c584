<script setup lang="ts">
import { Check } from '@lucide/vue'
import { computed } from 'vue'
import type { FollowUpLine } from '@/api/client'
import { STANDING_CLASS, STANDING_WORD } from '@/followups/standing'
import { effortText } from '@/ui/effort'
import { day, replyBy, today } from '@/ui/time'

const { line } = defineProps<{ line: FollowUpLine }>()
const more = computed(() =>
  [
    line.startDay && line.state === 'OPEN' && line.startDay > today()
      ? `from ${day(line.startDay)}`
      : '',
    line.steps > 0 ? `${line.stepsDone} of ${line.steps} steps` : '',
    line.place === '' ? '' : `at ${line.place}`,
    line.noted ? 'note' : '',
  ]
    .filter(Boolean)
    .join(' · '),
)
const emit = defineEmits<{ open: []; done: [] }>()
</script>

<template>
  <li
    class="border-line hover:bg-paper grid min-h-8 grid-cols-[28px_1fr_auto] items-center gap-2 border-b px-2 last:border-0 sm:grid-cols-[28px_1fr_150px_76px_190px]"
    data-test="follow-up"
  >
    <button
      type="button"
      class="border-line-strong hover:border-kelp grid size-[18px] place-items-center rounded border"
      :aria-label="line.state === 'OPEN' ? `Done: ${line.title}` : `Open again: ${line.title}`"
      :aria-pressed="line.state !== 'OPEN'"
      @click="emit('done')"
    >
      <Check v-if="line.state === 'DONE'" :size="14" aria-hidden="true" />
    </button>
    <button
      type="button"
      class="flex min-w-0 flex-wrap items-baseline gap-x-2 py-1 text-left sm:flex-nowrap"
      :class="line.state === 'OPEN' ? 'font-semibold' : 'text-ink-soft line-through'"
      :title="line.title"
      :data-follow-up="line.id"
      @click="emit('open')"
    >
      <span class="max-w-full truncate">{{ line.title }}</span>
      <span
        v-if="line.answerSeen && line.state === 'OPEN'"
        class="text-brass-ink shrink-0 text-sm font-normal"
        data-test="answer-seen"
        >you have answered: done?</span
      >
      <span v-if="more !== ''" class="text-ink-soft shrink-0 text-sm font-normal">{{ more }}</span>
    </button>
    <span class="text-ink-soft hidden truncate sm:block">{{
      line.from ?? line.people[0]?.name ?? ''
    }}</span>
    <span class="text-ink-soft hidden text-right sm:block">{{
      line.effortMinutes === null ? '' : effortText(line.effortMinutes)
    }}</span>
    <span
      class="text-right whitespace-nowrap"
      :class="line.state === 'OPEN' ? STANDING_CLASS[line.standing] : 'text-ink-soft'"
    >
      <template v-if="line.state !== 'OPEN'">{{
        line.state === 'DONE' ? 'done' : 'dropped'
      }}</template>
      <template v-else-if="line.replyDay">
        {{ STANDING_WORD[line.standing] ? `${STANDING_WORD[line.standing]} · ` : ''
        }}{{ replyBy(line.replyDay, line.replyTime)
        }}<span class="text-ink-soft font-normal">{{ line.firm ? '' : ' flex.' }}</span>
      </template>
      <template v-else>no date</template>
    </span>
  </li>
</template>
