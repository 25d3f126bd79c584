<script setup lang="ts">
import { computed } from 'vue'
import { useFollowUps } from '@/api/followUpQueries'
import { useDay } from '@/api/queries'
import { useSitting } from '@/intake/sitting'
import view from '@/intake/view'
import Note from '@/ui/Note.vue'
import { today as todayNow } from '@/ui/time'

const sitting = useSitting()

/** Nothing waits for a decision: what was done, and what the day holds. */
const { hasSources, putOff } = defineProps<{ hasSources: boolean; putOff: number }>()
const today = useDay(todayNow())
const followUps = useFollowUps()
const next = computed(() => {
  const day = todayNow()
  return followUps.data.value?.open.find((line) => (line.replyDay ?? '') > day)
})
</script>

<template>
  <Note title="Intake is empty">
    <p v-if="sitting.messages">
      You decided {{ sitting.messages }} {{ sitting.messages === 1 ? 'message' : 'messages' }} in
      this sitting.
    </p>
    <p v-else>{{ view.about }} Messages appear here as they arrive.</p>
    <p v-if="!hasSources">
      <RouterLink class="btn btn-main" to="/settings/sources"
        >Connect a mail or chat account</RouterLink
      >
    </p>
    <template v-else>
      <p data-test="the-day">
        <template v-if="today.data.value?.due"
          ><b
            >{{ today.data.value.due }}
            {{ today.data.value.due === 1 ? 'follow-up' : 'follow-ups' }}</b
          >
          due today, about {{ today.data.value.dueMinutes }} minutes of work.</template
        >
        <template v-else>Nothing is due today.</template>
        <template v-if="next"> After that: {{ next.title }}.</template>
      </p>
      <p v-if="putOff" class="text-ink-soft">{{ putOff }} put off until another day.</p>
      <p><RouterLink class="btn" to="/follow-ups">See what you follow up</RouterLink></p>
    </template>
  </Note>
</template>
