<script setup lang="ts">
import { ChevronLeft, ChevronRight } from '@lucide/vue'
import { computed, nextTick, ref, useTemplateRef } from 'vue'
import { isDayOff } from '@/ui/accountCalendar'
import { dayByKey, shiftMonth, weeksOf } from '@/ui/calendar'
import { day, monthOf, today as todayNow } from '@/ui/time'

const { chosen } = defineProps<{ chosen: string | null }>()
const emit = defineEmits<{ choose: [day: string] }>()

const today = todayNow()
const focused = ref(chosen ?? today)
const weeks = computed(() => weeksOf(focused.value))
const month = computed(() => monthOf(focused.value))
const grid = useTemplateRef<HTMLElement>('grid')

function onKey(event: KeyboardEvent): void {
  const moved = dayByKey(focused.value, event.key)
  if (moved) {
    event.preventDefault()
    focused.value = moved
    void nextTick(() => grid.value?.querySelector<HTMLElement>('[tabindex="0"]')?.focus())
  }
}

function isOtherMonth(isoDay: string): boolean {
  return isoDay.slice(0, 7) !== focused.value.slice(0, 7)
}
</script>

<template>
  <div data-keys="own">
    <div class="flex items-center justify-between">
      <button
        class="btn btn-quiet px-1"
        type="button"
        aria-label="Month before"
        @click="focused = shiftMonth(focused, -1)"
      >
        <ChevronLeft :size="16" aria-hidden="true" />
      </button>
      <span class="font-semibold" aria-live="polite">{{ month }}</span>
      <button
        class="btn btn-quiet px-1"
        type="button"
        aria-label="Month after"
        @click="focused = shiftMonth(focused, 1)"
      >
        <ChevronRight :size="16" aria-hidden="true" />
      </button>
    </div>
    <div
      ref="grid"
      class="grid grid-cols-7 gap-px text-center"
      role="group"
      :aria-label="month"
      @keydown="onKey"
    >
      <span
        v-for="(name, i) in ['M', 'T', 'W', 'T', 'F', 'S', 'S']"
        :key="i"
        class="text-ink-soft text-xs"
        aria-hidden="true"
        >{{ name }}</span
      >
      <template v-for="week in weeks" :key="week[0]">
        <button
          v-for="isoDay in week"
          :key="isoDay"
          type="button"
          class="hover:border-kelp h-7 w-8 rounded border"
          :class="[
            isoDay === chosen
              ? 'bg-kelp text-on-kelp border-kelp'
              : isoDay === today
                ? 'border-line-strong'
                : 'border-transparent',
            (isOtherMonth(isoDay) || isDayOff(isoDay)) && isoDay !== chosen ? 'text-ink-soft' : '',
          ]"
          :tabindex="isoDay === focused ? 0 : -1"
          :aria-label="day(isoDay)"
          :aria-pressed="isoDay === chosen"
          @click="emit('choose', isoDay)"
        >
          {{ Number(isoDay.slice(8)) }}
        </button>
      </template>
    </div>
  </div>
</template>
