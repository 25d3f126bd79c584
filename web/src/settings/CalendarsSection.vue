<script setup lang="ts">
import { computed } from 'vue'
import { client, type CalendarSummary } from '@/api/client'
import { run } from '@/api/commands'
import { useBlockCalendar, useCalendars, useSources, useTaskList } from '@/api/queries'
import { moment } from '@/ui/time'

/** The calendars of all sources, and what each counts for. */
const calendars = useCalendars()
const sources = useSources()
const USES: readonly { value: CalendarSummary['counts']; name: string }[] = [
  { value: 'BUSY', name: 'takes time of the day' },
  { value: 'SHOWN', name: 'is only shown' },
  { value: 'HIDDEN', name: 'is hidden' },
]

function count(calendar: CalendarSummary, event: Event): void {
  const counts = (event.target as HTMLSelectElement).value as CalendarSummary['counts']
  void run((header) =>
    client.PUT('/api/calendars/{id}', {
      params: { path: { id: calendar.id }, query: { version: calendar.version }, header },
      body: { name: calendar.name, counts },
    }),
  )
}

const blocks = useBlockCalendar()
const tasks = useTaskList()
const withEvents = computed(() => (calendars.data.value ?? []).filter((each) => each.events))
const taskLists = computed(() => (calendars.data.value ?? []).filter((each) => each.tasks))
const writable = computed(() => (calendars.data.value ?? []).filter((each) => each.writable))

function takeBlocks(event: Event): void {
  const chosen = (event.target as HTMLSelectElement).value
  const body = { calendarId: chosen === '' ? null : chosen }
  void run((header) => client.PUT('/api/settings/blocks', { params: { header }, body }))
}

function takeTasks(event: Event): void {
  const chosen = (event.target as HTMLSelectElement).value
  const body = { calendarId: chosen === '' ? null : chosen }
  void run((header) => client.PUT('/api/settings/tasks', { params: { header }, body }))
}

function sourceOf(calendar: CalendarSummary): string {
  return sources.data.value?.find((each) => each.id === calendar.sourceId)?.name ?? ''
}
</script>

<template>
  <section v-if="calendars.data.value?.length" class="mt-5">
    <h2 class="mb-1 font-semibold">Calendars</h2>
    <ul>
      <li
        v-for="calendar in withEvents"
        :key="calendar.id"
        class="border-line flex flex-wrap items-center gap-x-3 gap-y-1 border-b py-1.5"
        data-test="calendar"
      >
        <b class="min-w-40">{{ calendar.name }}</b>
        <label class="flex items-center gap-2"
          ><span class="sr-only">What {{ calendar.name }} counts for</span>
          <select
            class="field h-8 max-sm:h-11"
            :value="calendar.counts"
            @change="count(calendar, $event)"
          >
            <option v-for="use in USES" :key="use.value" :value="use.value">{{ use.name }}</option>
          </select>
        </label>
        <span class="text-ink-soft text-sm"
          >from {{ sourceOf(calendar) }}, seen {{ moment(calendar.readAt) }}</span
        >
      </li>
    </ul>
    <label
      v-if="writable.length && blocks.data.value"
      class="mt-3 flex flex-wrap items-center gap-2"
    >
      What has a time of its own also stands in
      <select
        class="field h-8 w-auto max-sm:h-11"
        :value="blocks.data.value.calendarId ?? ''"
        data-test="block-calendar"
        @change="takeBlocks"
      >
        <option value="">no calendar</option>
        <option v-for="each in writable" :key="each.id" :value="each.id">{{ each.name }}</option>
      </select>
    </label>
    <template v-if="taskLists.length && tasks.data.value">
      <label class="mt-3 flex flex-wrap items-center gap-2">
        Follow-ups also stand in the task list
        <select
          class="field h-8 w-auto max-sm:h-11"
          :value="tasks.data.value.calendarId ?? ''"
          data-test="task-list"
          @change="takeTasks"
        >
          <option value="">none</option>
          <option v-for="each in taskLists" :key="each.id" :value="each.id">
            {{ each.name }} ({{ sourceOf(each) }})
          </option>
        </select>
        <span v-if="tasks.data.value.calendarId" class="text-ink-soft text-sm" data-test="tasks-in"
          >{{ tasks.data.value.followUps }} there</span
        >
      </label>
      <p class="text-ink-soft mt-1 max-w-prose text-sm">
        What is open here is written there, and what is open there comes here. A change on one side
        is made on the other; where both changed the same, what is said here stands and the other is
        kept in the note. What you delete there is dropped here, which can be undone.
      </p>
    </template>
  </section>
</template>
