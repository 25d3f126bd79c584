<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRunningClock } from '@/api/queries'
import { correct, removeTime } from '@/record/time/changes'
import { hours, localMoment } from '@/record/time/words'
import { setClock } from '@/today/plan'

/** Asks about a clock that was probably left running, over every view until it is answered. */
const AGAIN = 3_600_000

const running = useRunningClock()
const quietUntil = ref(0)
const clock = computed(() => {
  const now = running.data.value?.clock
  return now?.forgotten && quietUntil.value < running.dataUpdatedAt.value ? now : undefined
})

function stopped(minutes: number): void {
  if (clock.value) {
    void correct(clock.value.stintId, {
      day: clock.value.from.slice(0, 10),
      from: clock.value.from.slice(11, 16),
      minutes,
    })
  }
}

function goesOn(): void {
  quietUntil.value = running.dataUpdatedAt.value + AGAIN
}
</script>

<template>
  <div
    v-if="clock"
    class="bg-brass-wash flex flex-wrap items-center gap-2 px-4 py-2 print:hidden"
    role="status"
    data-test="clock-asks"
  >
    <span class="min-w-0"
      >The clock of <b>{{ clock.title }}</b> has run since {{ localMoment(clock.from) }}. When did
      you stop?</span
    >
    <button
      v-if="clock.proposedTo && clock.proposedMinutes !== null"
      class="btn btn-main h-8 max-sm:h-11"
      type="button"
      data-test="clock-proposed"
      @click="stopped(clock.proposedMinutes)"
    >
      {{ localMoment(clock.proposedTo) }}, after {{ hours(clock.proposedMinutes) }}
    </button>
    <button
      class="btn h-8 max-sm:h-11"
      type="button"
      @click="void setClock(clock.followUpId, false)"
    >
      Just now, after {{ hours(clock.minutes) }}
    </button>
    <button class="btn h-8 max-sm:h-11" type="button" @click="void removeTime(clock.stintId)">
      I did not work at it
    </button>
    <button class="btn btn-quiet h-8 max-sm:h-11" type="button" @click="goesOn">I still do</button>
  </div>
</template>
