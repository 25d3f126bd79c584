<script setup lang="ts">
import { computed } from 'vue'
import { useFollowUps } from '@/api/queries'
import { decidedMessages } from '@/intake/sitting'
import Note from '@/ui/Note.vue'
import { toIsoDay } from '@/ui/time'

/** Nothing waits for a decision: what was done, and what the day holds. */
const { hasSources, putOff } = defineProps<{ hasSources: boolean; putOff: number }>()
const followUps = useFollowUps()
const due = computed(() => {
  const today = toIsoDay(new Date())
  const open = followUps.data.value?.open ?? []
  const dated = open.filter((line) => line.replyDay !== null)
  const now = dated.filter((line) => (line.replyDay ?? '') <= today)
  const later = dated.filter((line) => (line.replyDay ?? '') > today)
  return {
    count: now.length,
    minutes: now.reduce((sum, line) => sum + (line.effortMinutes ?? 15), 0),
    next: later.sort((a, b) => (a.replyDay ?? '').localeCompare(b.replyDay ?? ''))[0],
  }
})
</script>

<template>
  <Note title="Intake is empty">
    <p v-if="decidedMessages">
      You decided {{ decidedMessages }} {{ decidedMessages === 1 ? 'message' : 'messages' }} in this
      sitting.
    </p>
    <p v-else>Messages that need a decision appear here as they arrive.</p>
    <p v-if="!hasSources">
      <RouterLink class="btn btn-main" to="/settings/sources"
        >Connect a mail or chat account</RouterLink
      >
    </p>
    <template v-else>
      <p data-test="the-day">
        <template v-if="due.count"
          ><b>{{ due.count }} {{ due.count === 1 ? 'follow-up' : 'follow-ups' }}</b> due today,
          about {{ due.minutes }} minutes of work.</template
        >
        <template v-else>Nothing is due today.</template>
        <template v-if="due.next"> After that: {{ due.next.title }}.</template>
      </p>
      <p v-if="putOff" class="text-ink-soft">{{ putOff }} put off until another day.</p>
      <p><RouterLink class="btn" to="/follow-ups">See what you follow up</RouterLink></p>
    </template>
  </Note>
</template>
