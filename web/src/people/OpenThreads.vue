<script setup lang="ts">
import type { PersonView } from '@/api/client'
import { day, moment, today } from '@/ui/time'

/** What is open with somebody in one direction, the oldest first. */
const { title, none, threads, mine } = defineProps<{
  title: string
  none: string
  threads: PersonView['owed']
  /** Whether it is mine to do. */
  mine: boolean
}>()
</script>

<template>
  <section :aria-label="title">
    <h3 class="font-semibold" :class="mine ? 'text-kelp' : 'text-dusk'">{{ title }}</h3>
    <p v-if="threads.length === 0" class="text-ink-soft">{{ none }}</p>
    <ul>
      <li
        v-for="thread in threads"
        :key="thread.threadId + thread.what"
        class="border-line border-b py-1"
      >
        <RouterLink
          class="hover:text-kelp block wrap-anywhere max-sm:min-h-11"
          :to="`/threads/${thread.threadId}`"
          >“{{ thread.what || thread.subject }}”</RouterLink
        >
        <span class="text-ink-soft text-sm"
          >since {{ moment(thread.since)
          }}<b
            v-if="thread.byDay"
            class="ml-2"
            :class="thread.byDay < today() ? 'text-brass-ink' : ''"
            >{{ thread.byDay < today() ? 'late: ' : '' }}by {{ day(thread.byDay) }}</b
          ></span
        >
      </li>
    </ul>
  </section>
</template>
