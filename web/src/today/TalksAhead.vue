<script setup lang="ts">
import { MessagesSquare } from '@lucide/vue'
import { useTalks } from '@/api/queries'
import { moment } from '@/ui/time'

/** Meetings of today with somebody with whom something is to be talked about. */
const talks = useTalks()
</script>

<template>
  <p
    v-for="talk in talks.data.value"
    :key="talk.meeting.from + talk.person"
    class="bg-kelp-wash mt-2 flex flex-wrap items-center gap-x-2 gap-y-1 rounded px-3 py-1.5"
    data-test="talk-ahead"
  >
    <MessagesSquare :size="15" aria-hidden="true" />
    <span
      >{{ moment(talk.meeting.from) }} <b>{{ talk.meeting.title }}</b> with
      <bdi>{{ talk.name }}</bdi>:
      {{
        talk.matters.length === 1
          ? 'one thing to talk about'
          : `${talk.matters.length} things to talk about`
      }}</span
    >
    <RouterLink
      class="btn h-7 px-2 max-sm:h-11"
      :to="{ name: 'people', params: { id: talk.person } }"
      >Open the agenda</RouterLink
    >
  </p>
</template>
