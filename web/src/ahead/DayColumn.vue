<script setup lang="ts">
import { computed } from 'vue'
import type { CategoryView, DayAhead } from '@/api/client'
import DayEntries from '@/ahead/DayEntries.vue'
import { clock, type Entry } from '@/ahead/days'
import SmallGlass from '@/ahead/SmallGlass.vue'
import { effortText } from '@/ui/effort'
import { day as dayText, today } from '@/ui/time'

/** One of the days ahead: its glass, its meetings, and what weighs on it. */
const { day, categories, current, picked, wide, mostMinutes, height } = defineProps<{
  day: DayAhead
  categories: readonly CategoryView[]
  current: string | undefined
  picked: ReadonlySet<string>
  /** Whether days stand beside each other. */
  wide: boolean
  /** How many minutes each glass is high. */
  mostMinutes: number
  height: number
}>()
const emit = defineEmits<{ dropped: [id: string]; open: [id: string] }>()
const entries = defineModel<Entry[]>({ required: true })
const name = computed(() => {
  const [weekday = '', ...date] = dayText(day.day).split(' ')
  return { weekday, date: date.join(' ') }
})
const isToday = computed(() => day.day === today())
</script>

<template>
  <section
    class="flex min-w-0 flex-col px-1.5 pb-1"
    :class="isToday ? 'border-kelp bg-surface border-l-2' : 'border-line border-l'"
    :data-day="day.day"
    :aria-label="dayText(day.day)"
  >
    <h2 class="h-6 text-sm whitespace-nowrap">
      <span class="font-semibold">{{ name.weekday }}</span> {{ name.date }}
    </h2>
    <SmallGlass
      v-if="wide"
      class="my-1"
      :day="day"
      :categories="categories"
      :most-minutes="mostMinutes"
      :height="height"
    />
    <p class="text-sm" :class="wide ? 'text-center' : ''" data-test="left">
      <span v-if="day.off !== ''" class="text-ink-soft">{{ day.off }}</span>
      <strong v-else-if="day.overMinutes > 0" class="text-brass-ink"
        >{{ effortText(day.overMinutes) }} over</strong
      >
      <span v-else class="text-ink-soft"
        >{{ effortText(day.roomMinutes - day.plannedMinutes) }} left</span
      >
    </p>
    <ul class="mt-1">
      <li
        v-for="meeting in day.meetings"
        :key="`${meeting.title} ${meeting.fromMinute}`"
        class="text-dusk border-dusk flex gap-1 border-b border-dotted py-px text-sm"
        :title="[meeting.title, meeting.place].filter(Boolean).join(', ')"
        data-test="meeting"
      >
        <span class="truncate" :class="meeting.takesTime ? '' : 'italic'">{{ meeting.title }}</span>
        <span v-if="!meeting.allDay" class="ml-auto">{{ clock(meeting.fromMinute) }}</span>
      </li>
    </ul>
    <DayEntries
      v-model="entries"
      :categories="categories"
      :current="current"
      :picked="picked"
      class="min-h-12 flex-1 pt-1 pb-2"
      @dropped="(id) => emit('dropped', id)"
      @open="(id) => emit('open', id)"
    />
  </section>
</template>
