<script setup lang="ts">
import { computed } from 'vue'
import type { QuickChoice } from '@/api/client'
import DayPart from '@/ui/DayPart.vue'
import { today } from '@/ui/time'

/** Until which day a follow-up stays out of sight. */
const { choices, letter } = defineProps<{
  choices: readonly QuickChoice[]
  letter?: string
}>()
const chosen = defineModel<string | null>({ required: true })
const ahead = computed({
  get: () => chosen.value,
  set: (isoDay) => (chosen.value = isoDay !== null && isoDay > today() ? isoDay : null),
})
</script>

<template>
  <DayPart
    v-model="ahead"
    :choices="choices"
    none="from now on"
    test="start"
    before="from"
    about="Out of sight until"
    :letter="letter"
  />
</template>
