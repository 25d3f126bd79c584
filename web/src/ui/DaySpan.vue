<script setup lang="ts">
import { computed } from 'vue'
import { useIntake } from '@/api/queries'
import DayPart from '@/ui/DayPart.vue'

/** The first and the last day of what is wanted; either may be open. */
const { from, to, test } = defineProps<{
  from: string | null
  to: string | null
  /** Names both for tests. */
  test: string
}>()
const emit = defineEmits<{ from: [day: string | null]; to: [day: string | null] }>()

const intake = useIntake()
const choices = computed(() => intake.data.value?.quickChoices ?? [])
</script>

<template>
  <span class="to-touch contents">
    <DayPart
      :model-value="from"
      none="from any day"
      before="from"
      :test="`${test}-from`"
      :choices="choices"
      @update:model-value="(day) => emit('from', day)"
    />
    <DayPart
      :model-value="to"
      none="to any day"
      before="to"
      :test="`${test}-to`"
      :choices="choices"
      @update:model-value="(day) => emit('to', day)"
    />
  </span>
</template>
