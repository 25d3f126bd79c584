<script setup lang="ts">
import type { QuickChoice } from '@/api/client'
import DayChooser from '@/ui/DayChooser.vue'
import Floating from '@/ui/Floating.vue'
import { day as dayText, today } from '@/ui/time'

/** Until which day a follow-up stays out of sight. */
const { choices, letter } = defineProps<{
  choices: readonly QuickChoice[]
  letter?: string
}>()
const chosen = defineModel<string | null>({ required: true })

function choose(isoDay: string | null, close: () => void): void {
  chosen.value = isoDay !== null && isoDay > today() ? isoDay : null
  close()
}
</script>

<template>
  <Floating test="start" :letter="letter">
    <template #button>{{ chosen ? `from ${dayText(chosen)}` : 'from now on' }}</template>
    <template #default="{ close }">
      <div class="w-64">
        <p class="text-ink-soft mb-1">Out of sight until</p>
        <DayChooser
          :choices="choices"
          :chosen="chosen"
          @choose="(isoDay) => choose(isoDay, close)"
        />
        <button
          type="button"
          class="hover:bg-kelp-wash h-8 w-full rounded px-2 text-left"
          @click="choose(null, close)"
        >
          Show it from now on
        </button>
      </div>
    </template>
  </Floating>
</template>
