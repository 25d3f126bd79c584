<script setup lang="ts">
import { parseDate, type DateValue } from '@internationalized/date'
import { ChevronLeft, ChevronRight } from '@lucide/vue'
import {
  CalendarCell,
  CalendarCellTrigger,
  CalendarGrid,
  CalendarGridBody,
  CalendarGridHead,
  CalendarGridRow,
  CalendarHeadCell,
  CalendarHeader,
  CalendarHeading,
  CalendarNext,
  CalendarPrev,
  CalendarRoot,
} from 'reka-ui'
import { computed } from 'vue'
import { isDayOff } from '@/ui/accountCalendar'
import { LOCALE, today as todayNow } from '@/ui/time'

const { chosen } = defineProps<{ chosen: string | null }>()
const emit = defineEmits<{ choose: [day: string] }>()

const today = todayNow()
const value = computed(() => (chosen ? parseDate(chosen) : undefined))

function choose(day: DateValue | undefined): void {
  if (day) {
    emit('choose', day.toString())
  }
}
</script>

<template>
  <CalendarRoot
    v-slot="{ grid, weekDays }"
    :model-value="value"
    :default-placeholder="parseDate(chosen ?? today)"
    :locale="LOCALE"
    :week-starts-on="1"
    weekday-format="narrow"
    fixed-weeks
    prevent-deselect
    data-keys="own"
    @update:model-value="choose"
  >
    <CalendarHeader class="flex items-center justify-between">
      <CalendarPrev class="btn btn-quiet px-1" aria-label="Month before">
        <ChevronLeft :size="16" aria-hidden="true" />
      </CalendarPrev>
      <CalendarHeading class="font-semibold" />
      <CalendarNext class="btn btn-quiet px-1" aria-label="Month after">
        <ChevronRight :size="16" aria-hidden="true" />
      </CalendarNext>
    </CalendarHeader>
    <CalendarGrid v-for="month in grid" :key="month.value.toString()" class="text-center">
      <CalendarGridHead>
        <CalendarGridRow>
          <CalendarHeadCell
            v-for="(name, i) in weekDays"
            :key="i"
            class="text-ink-soft text-xs font-normal"
            >{{ name }}</CalendarHeadCell
          >
        </CalendarGridRow>
      </CalendarGridHead>
      <CalendarGridBody>
        <CalendarGridRow v-for="week in month.rows" :key="week[0]?.toString()">
          <CalendarCell v-for="day in week" :key="day.toString()" :date="day" class="p-0">
            <CalendarCellTrigger
              :day="day"
              :month="month.value"
              class="hover:border-kelp data-[selected]:bg-kelp data-[selected]:text-on-kelp data-[selected]:border-kelp data-[outside-view]:text-ink-soft flex h-7 w-8 cursor-pointer items-center justify-center rounded border"
              :class="[
                day.toString() === today ? 'border-line-strong' : 'border-transparent',
                isDayOff(day.toString()) ? 'text-ink-soft' : '',
              ]"
            />
          </CalendarCell>
        </CalendarGridRow>
      </CalendarGridBody>
    </CalendarGrid>
  </CalendarRoot>
</template>
