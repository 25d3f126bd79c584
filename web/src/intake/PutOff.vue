<script setup lang="ts">
import type { QuickChoice } from '@/api/client'
import DayChooser from '@/ui/DayChooser.vue'
import { shiftDay, today } from '@/ui/time'

/** Until which day one or several messages stay out of sight. */
const { choices, count = 1 } = defineProps<{ choices: readonly QuickChoice[]; count?: number }>()
const emit = defineEmits<{ until: [day: string]; cancel: [] }>()
</script>

<template>
  <div data-test="put-off" data-keys="own" @keydown.esc.stop="emit('cancel')">
    <p class="mb-1.5 font-semibold">
      Put {{ count === 1 ? 'it' : `all ${count}` }} off: out of Intake until
    </p>
    <DayChooser
      in-row
      :choices="choices"
      :from="shiftDay(today(), 1)"
      @choose="(isoDay) => emit('until', isoDay)"
    >
      <button class="btn btn-quiet h-9 sm:h-8" type="button" @click="emit('cancel')">
        Cancel <span class="key">Esc</span>
      </button>
    </DayChooser>
  </div>
</template>
