<script setup lang="ts">
import type { QuickChoice } from '@/api/client'
import DayPanel from '@/ui/DayPanel.vue'
import { shiftDay, today } from '@/ui/time'

/** Until which day one or several messages stay out of sight. */
const { choices, count = 1 } = defineProps<{ choices: readonly QuickChoice[]; count?: number }>()
const emit = defineEmits<{ until: [day: string]; cancel: [] }>()
</script>

<template>
  <DayPanel
    data-test="put-off"
    :choices="choices"
    :from="shiftDay(today(), 1)"
    @choose="(isoDay) => emit('until', isoDay)"
    @cancel="emit('cancel')"
  >
    <p class="mb-1.5 font-semibold">
      Put {{ count === 1 ? 'it' : `all ${count}` }} off: out of Intake until
    </p>
  </DayPanel>
</template>
