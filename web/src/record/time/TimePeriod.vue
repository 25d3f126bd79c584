<script setup lang="ts">
import { computed } from 'vue'
import { useIntake } from '@/api/queries'
import { BY, spans, type TimeWish } from '@/record/time/query'
import DayPart from '@/ui/DayPart.vue'
import { today } from '@/ui/time'

/** Which days are wanted, and what stands together. */
const { wish } = defineProps<{ wish: TimeWish }>()
const emit = defineEmits<{ set: [changed: Partial<TimeWish>] }>()

const intake = useIntake()
const choices = computed(() => intake.data.value?.quickChoices ?? [])
</script>

<template>
  <span class="flex flex-wrap items-center gap-1.5 print:hidden">
    <button
      v-for="span in spans()"
      :key="span.text"
      class="btn btn-quiet h-8 px-2 max-sm:h-11"
      :class="wish.from === span.from && wish.to === span.to ? 'bg-kelp-wash text-kelp' : undefined"
      :aria-pressed="wish.from === span.from && wish.to === span.to"
      type="button"
      @click="emit('set', { from: span.from, to: span.to })"
    >
      {{ span.text }}
    </button>
    <DayPart
      :model-value="wish.from"
      none="from"
      before="from"
      test="time-from"
      :choices="choices"
      @update:model-value="(from) => emit('set', { from: from ?? today() })"
    />
    <DayPart
      :model-value="wish.to"
      none="to"
      before="to"
      test="time-to"
      :choices="choices"
      @update:model-value="(to) => emit('set', { to: to ?? today() })"
    />
    <select
      class="field h-8 w-auto max-sm:h-11"
      aria-label="What stands together"
      data-test="time-by"
      :value="wish.by"
      @change="
        emit('set', {
          by:
            BY.find((each) => each.by === ($event.target as HTMLSelectElement).value)?.by ?? 'DAY',
        })
      "
    >
      <option v-for="each in BY" :key="each.by" :value="each.by">{{ each.text }}</option>
    </select>
  </span>
</template>
