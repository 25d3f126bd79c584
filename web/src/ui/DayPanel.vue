<script setup lang="ts">
import type { QuickChoice } from '@/api/client'
import DayChooser from '@/ui/DayChooser.vue'

/** Chooses a day in a line of its own, with what it is for above it; nothing that is pressed here means something around it. */
const { choices, from } = defineProps<{
  choices: readonly QuickChoice[]
  /** The first day that may be chosen of those on offer. */
  from: string
}>()
const emit = defineEmits<{ choose: [day: string]; cancel: [] }>()
defineSlots<{ default(): unknown }>()
</script>

<template>
  <div data-keys="own" @keydown.esc.stop="emit('cancel')">
    <slot />
    <DayChooser in-row :choices="choices" :from="from" @choose="(isoDay) => emit('choose', isoDay)">
      <button class="btn btn-quiet h-9 sm:h-8" type="button" @click="emit('cancel')">
        Cancel <span class="key">Esc</span>
      </button>
    </DayChooser>
  </div>
</template>
