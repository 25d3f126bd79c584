<script setup lang="ts">
import type { QuickChoice } from '@/api/client'
import DayChooser from '@/ui/DayChooser.vue'
import Floating from '@/ui/Floating.vue'
import { day as dayText } from '@/ui/time'

/** A day in a sentence, or none. */
const {
  choices,
  none,
  test,
  before = '',
  about = '',
  letter = '',
} = defineProps<{
  choices: readonly QuickChoice[]
  /** What stands there without one. */
  none: string
  test: string
  /** A word in front of the day. */
  before?: string
  /** What is chosen, above the days. */
  about?: string
  letter?: string
}>()
const chosen = defineModel<string | null>({ required: true })

function choose(isoDay: string | null, close: () => void): void {
  chosen.value = isoDay
  close()
}
</script>

<template>
  <Floating :test="test" :letter="letter">
    <template #button>{{ chosen ? `${before} ${dayText(chosen)}`.trim() : none }}</template>
    <template #default="{ close }">
      <div class="w-64">
        <p v-if="about" class="text-ink-soft mb-1">{{ about }}</p>
        <DayChooser
          :choices="choices"
          :chosen="chosen"
          @choose="(isoDay) => choose(isoDay, close)"
        />
        <button
          type="button"
          class="hover:bg-kelp-wash h-8 w-full rounded px-2 text-left max-sm:h-11"
          @click="choose(null, close)"
        >
          {{ none }}
        </button>
      </div>
    </template>
  </Floating>
</template>
