<script setup lang="ts">
import type { ListForm, TodayData } from '@/api/client'
import OutMenu from '@/lists/OutMenu.vue'
import { effortText } from '@/ui/effort'
import { day as dayText, replyBy } from '@/ui/time'

/** The way out of the day: on paper, to somebody, as a table. */
const { today } = defineProps<{ today: TodayData }>()

const BANDS = { NOW: 'Now', LATER: 'Later', IF_TIME: 'If there is time' }

function list(): ListForm {
  const bands = (['NOW', 'LATER', 'IF_TIME'] as const).map((band) => ({
    title: BANDS[band],
    rows: today.entries
      .filter((entry) => entry.band === band)
      .map(({ line, at, minutesLeft }) => [
        line.title,
        at ? at.slice(0, 5) : '',
        effortText(minutesLeft),
        line.replyDay ? replyBy(line.replyDay, line.replyTime) : '',
      ]),
  }))
  return {
    title: `Plan of ${dayText(today.day)}`,
    words: '',
    heading: ['What', 'At', 'Time', 'Reply by'],
    groups: bands.filter((band) => band.rows.length > 0),
  }
}
</script>

<template>
  <OutMenu v-if="today.entries.length > 0" class="print:hidden" :list="list" />
</template>
