<script setup lang="ts">
import type { PersonView } from '@/api/client'
import { day, isoDayOf, moment } from '@/ui/time'

/** Meetings of the next two weeks with somebody. */
const { meetings } = defineProps<{ meetings: PersonView['meetings'] }>()
</script>

<template>
  <section aria-label="Meetings ahead">
    <h3 class="font-semibold">Meetings ahead</h3>
    <p v-if="meetings.length === 0" class="text-ink-soft">None in the next two weeks.</p>
    <ul>
      <li
        v-for="meeting in meetings"
        :key="meeting.from + meeting.title"
        class="border-line flex min-h-8 items-center gap-3 border-b"
        data-test="meeting-ahead"
      >
        <span class="min-w-0 truncate"
          >{{ meeting.title
          }}<span v-if="meeting.place" class="text-ink-soft"> · {{ meeting.place }}</span></span
        >
        <span class="text-ink-soft ml-auto whitespace-nowrap">{{
          meeting.allDay ? day(isoDayOf(new Date(meeting.from))) : moment(meeting.from)
        }}</span>
      </li>
    </ul>
  </section>
</template>
