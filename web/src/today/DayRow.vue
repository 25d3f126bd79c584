<script setup lang="ts">
import { GripVertical } from '@lucide/vue'
import { computed } from 'vue'
import type { CategoryView, DayEntry } from '@/api/client'
import { isLate, STANDING_CLASS } from '@/followups/standing'
import CategoryMark from '@/ui/CategoryMark.vue'
import { effortText } from '@/ui/effort'
import { replyBy } from '@/ui/time'

/** One line of the day. */
const { entry, category, current } = defineProps<{
  entry: DayEntry
  category: CategoryView | undefined
  current: boolean
}>()
const emit = defineEmits<{ done: []; open: [] }>()
const line = computed(() => entry.line)
const who = computed(() => line.value.from ?? line.value.people[0]?.name ?? '')
const date = computed(() =>
  line.value.replyDay
    ? `${isLate(line.value) ? 'late since ' : ''}${replyBy(line.value.replyDay, line.value.replyTime)}${line.value.firm ? ', firm' : ''}`
    : 'no date',
)
const effort = computed(() =>
  entry.minutesSpent > 0
    ? `${entry.minutesSpent} of ${effortText(entry.minutesSpent + entry.minutesLeft)}`
    : effortText(entry.minutesLeft),
)
</script>

<template>
  <div
    class="border-line flex min-h-8 items-center gap-1 border-b pr-3"
    :class="current ? 'bg-kelp-wash shadow-[inset_3px_0_0_var(--kelp)]' : 'hover:bg-surface'"
  >
    <span
      class="handle text-ink-soft grid h-8 w-6 shrink-0 cursor-grab touch-none place-items-center max-sm:h-11 max-sm:w-8"
      title="Drag to another place"
      data-test="handle"
      ><GripVertical :size="14" aria-hidden="true"
    /></span>
    <button
      type="button"
      class="grid h-8 w-8 shrink-0 place-items-center max-sm:size-11"
      :aria-label="`Done: ${line.title}`"
      data-test="tick"
      tabindex="-1"
      @click="emit('done')"
    >
      <span class="border-line-strong hover:border-kelp size-[18px] rounded border" />
    </button>
    <span class="w-8 shrink-0"><CategoryMark :category="category" /></span>
    <button
      type="button"
      class="grid min-w-0 flex-1 grid-cols-[minmax(0,1fr)] items-center gap-x-3 py-1 text-left sm:grid-cols-[minmax(0,1fr)_120px_150px_84px]"
      :aria-current="current ? 'true' : undefined"
      :title="line.title"
      data-test="open"
      @click="emit('open')"
    >
      <span class="flex min-w-0 items-baseline gap-2">
        <span v-if="entry.at" class="text-kelp shrink-0 font-semibold" data-test="at">{{
          entry.at.slice(0, 5)
        }}</span>
        <span class="truncate font-semibold">{{ line.title }}</span>
        <span
          v-if="entry.underWay"
          class="text-kelp shrink-0 text-sm font-semibold"
          data-test="under-way"
          >under way</span
        >
        <span v-if="line.priority !== 'NORMAL'" class="text-ink-soft shrink-0 text-sm">{{
          line.priority === 'HIGH' ? 'high' : 'low'
        }}</span>
        <span v-if="!entry.fits" class="text-brass-ink shrink-0 text-sm" data-test="too-much"
          >does not fit</span
        >
      </span>
      <bdi class="text-ink-soft hidden truncate sm:block">{{ who }}</bdi>
      <span class="truncate text-right max-sm:hidden" :class="STANDING_CLASS[line.standing]">{{
        date
      }}</span>
      <span class="text-ink-soft text-right whitespace-nowrap max-sm:hidden">{{ effort }}</span>
      <span class="flex gap-2 text-sm sm:hidden">
        <bdi class="text-ink-soft truncate">{{ who }}</bdi>
        <span class="ml-auto whitespace-nowrap" :class="STANDING_CLASS[line.standing]">{{
          date
        }}</span>
        <span class="text-ink-soft whitespace-nowrap">{{ effort }}</span>
      </span>
    </button>
  </div>
</template>
