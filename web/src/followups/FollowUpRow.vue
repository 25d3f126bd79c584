<script setup lang="ts">
import { Check, Repeat } from '@lucide/vue'
import { computed } from 'vue'
import type { CategoryView, FollowUpLine } from '@/api/client'
import { isLate, STANDING_CLASS } from '@/followups/standing'
import { comeText, waitingText } from '@/followups/waiting'
import CategoryMark from '@/ui/CategoryMark.vue'
import { effortText } from '@/ui/effort'
import { day, replyBy, today } from '@/ui/time'

const { line, category, current, picked, byPerson, edge } = defineProps<{
  line: FollowUpLine
  category: CategoryView | undefined
  current: boolean
  /** Whether a decision would be about it. */
  picked?: boolean
  /** Whether the list stands by person: whom else it concerns is said then. */
  byPerson?: boolean
  /** Where something that is dragged would be let go. */
  edge?: 'above' | 'below' | undefined
}>()
const emit = defineEmits<{ done: [] }>()

const from = computed(() => line.from ?? line.people[0]?.name ?? '')
const more = computed(() =>
  [
    line.startDay && line.state === 'OPEN' && line.startDay > today()
      ? `from ${day(line.startDay)}`
      : '',
    line.state === 'OPEN' && line.waiting && !line.back ? waitingText(line.waiting) : '',
    line.steps > 0 ? `${line.stepsDone} of ${line.steps} steps` : '',
    line.priority === 'HIGH' ? 'high priority' : line.priority === 'LOW' ? 'low priority' : '',
    byPerson && line.people.length > 1
      ? `also with ${line.people
          .slice(1)
          .map((each) => each.name || each.address)
          .join(', ')}`
      : '',
    line.place === '' ? '' : `at ${line.place}`,
    line.noted ? 'note' : '',
  ]
    .filter(Boolean)
    .join(' · '),
)
const date = computed(() => {
  if (line.state !== 'OPEN') {
    return line.state === 'DONE' ? 'done' : 'dropped'
  }
  return line.replyDay
    ? `${line.firm ? '' : 'about '}${replyBy(line.replyDay, line.replyTime)}`
    : 'no date'
})
const dateHover = computed(() => {
  if (line.state !== 'OPEN' || !line.replyDay) {
    return ''
  }
  const set = line.firm ? 'A firm date' : 'A date of my own, which may move'
  return isLate(line) ? `${set}; it has passed` : set
})
</script>

<template>
  <div
    class="border-line flex h-full cursor-pointer items-center border-b pr-3 pl-1"
    :class="[
      current ? 'shadow-[inset_3px_0_0_var(--kelp)]' : '',
      picked ? 'bg-kelp-wash' : 'hover:bg-surface',
      edge === 'above' ? 'border-t-kelp border-t-2' : '',
      edge === 'below' ? 'border-b-kelp border-b-2' : '',
    ]"
    :title="line.title"
    :data-follow-up="line.id"
    :data-state="line.state"
    data-test="follow-up"
  >
    <span
      class="grid h-full w-9 shrink-0 place-items-center"
      :title="line.state === 'OPEN' ? 'Done' : 'Open it again'"
      data-test="tick"
      @click.stop="emit('done')"
    >
      <span
        class="border-line-strong hover:border-kelp grid size-[18px] place-items-center rounded border"
      >
        <Check v-if="line.state === 'DONE'" :size="14" aria-hidden="true" />
      </span>
    </span>
    <span class="w-8 shrink-0"><CategoryMark :category="category" /></span>
    <span
      class="grid min-w-0 flex-1 items-center gap-x-3 sm:grid-cols-[1fr_150px_64px_auto]"
      :class="line.state === 'OPEN' ? '' : 'text-ink-soft'"
    >
      <span class="flex min-w-0 items-baseline gap-x-2">
        <span class="truncate" :class="line.state === 'OPEN' ? 'font-semibold' : 'line-through'">{{
          line.title
        }}</span>
        <Repeat
          v-if="line.repeats"
          :size="13"
          class="text-ink-soft shrink-0 self-center"
          aria-label="comes back"
        />
        <span
          v-if="line.answerSeen && line.state === 'OPEN'"
          class="text-brass-ink shrink-0 text-sm"
          data-test="answer-seen"
          >you have answered: done?</span
        >
        <span
          v-if="line.back && line.waiting && line.state === 'OPEN'"
          class="text-brass-ink min-w-0 truncate text-sm"
          data-test="come"
          >{{ comeText(line.waiting) }}</span
        >
        <span v-if="more !== ''" class="text-ink-soft shrink-0 text-sm max-sm:hidden">{{
          more
        }}</span>
      </span>
      <bdi class="text-ink-soft hidden truncate sm:block">{{ from }}</bdi>
      <span class="text-ink-soft hidden text-right sm:block">{{
        line.effortMinutes === null ? '' : effortText(line.effortMinutes)
      }}</span>
      <span class="flex min-w-0 gap-2 whitespace-nowrap sm:w-40 sm:justify-end" :title="dateHover">
        <bdi class="text-ink-soft truncate sm:hidden">{{ from }}</bdi>
        <span
          class="max-sm:ml-auto max-sm:text-sm"
          :class="line.state === 'OPEN' ? STANDING_CLASS[line.standing] : ''"
          ><span v-if="isLate(line) && line.state === 'OPEN'" class="sr-only">late: </span
          >{{ date }}</span
        >
      </span>
    </span>
  </div>
</template>
