<script setup lang="ts">
import { ref } from 'vue'
import type { QuickChoice } from '@/api/client'
import { readLength } from '@/record/time/words'
import type { WorkedTime } from '@/record/time/changes'
import DayPart from '@/ui/DayPart.vue'
import { vFocus } from '@/ui/focus'
import TimeField from '@/ui/TimeField.vue'

/** A day, when it began, and how long or until when. */
const { start, choices, keep } = defineProps<{
  start: WorkedTime
  choices: readonly QuickChoice[]
  /** What the button says. */
  keep: string
}>()
const emit = defineEmits<{ keep: [time: WorkedTime]; close: [] }>()

const day = ref<string | null>(start.day)
const from = ref(start.from)
const length = ref(start.minutes > 0 ? `${start.minutes} min` : '')
const wrong = ref('')

function take(): void {
  const minutes = readLength(length.value, from.value)
  if (minutes === undefined || day.value === null) {
    wrong.value = `“${length.value}” is no length. Try “45”, “1:30”, “1h 30” or “to 15:20”.`
    return
  }
  wrong.value = ''
  emit('keep', { day: day.value, from: from.value, minutes })
}
</script>

<template>
  <form
    class="flex flex-1 flex-wrap items-center gap-2"
    data-keys="own"
    data-test="time-form"
    @submit.prevent="take"
    @keydown.esc.stop="emit('close')"
  >
    <DayPart v-model="day" none="Which day?" before="on" test="time-day" :choices="choices" />
    <span>from</span>
    <TimeField v-model="from" label="From" />
    <input
      v-model="length"
      v-focus
      class="field h-8 w-32"
      aria-label="How long, or until when"
      placeholder="45 min, to 15:20"
      autocomplete="off"
      maxlength="40"
      data-test="time-length"
    />
    <button class="btn btn-main h-8 max-sm:h-11" type="submit">
      {{ keep }} <span class="key">Enter</span>
    </button>
    <button class="btn btn-quiet h-8 max-sm:h-11" type="button" @click="emit('close')">
      Cancel <span class="key">Esc</span>
    </button>
    <span v-if="wrong" class="text-rust w-full text-sm" role="alert" data-test="time-wrong">{{
      wrong
    }}</span>
  </form>
</template>
