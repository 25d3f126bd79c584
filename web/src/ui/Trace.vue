<script setup lang="ts">
import { computed } from 'vue'
import type { ThreadLine } from '@/api/client'
import { workingSpanInWords } from '@/ui/time'
import { drawTrace } from '@/ui/trace'

const {
  thread,
  now,
  width = 220,
} = defineProps<{ thread: ThreadLine; now: string; width?: number }>()

const HEIGHT = 24
const drawing = computed(() => drawTrace(thread.trace, now, width))
const label = computed(() => {
  const mine = thread.trace.filter((tick) => tick.direction === 'OUTGOING').length
  const automatic = thread.trace.filter((tick) => tick.automatic).length
  const others = thread.trace.length - mine - automatic
  return `${others} from others, ${mine} from me, ${automatic} automatic; silent for ${workingSpanInWords(thread.silenceWorkingMinutes)}`
})
</script>

<template>
  <svg
    class="block max-w-full"
    :width="width"
    :height="HEIGHT"
    :viewBox="`0 0 ${width} ${HEIGHT}`"
    role="img"
    :aria-label="label"
  >
    <line x1="2" :x2="drawing.lastX" :y1="12" :y2="12" stroke="var(--line-strong)" />
    <line
      :x1="drawing.lastX"
      :x2="width - 2"
      :y1="12"
      :y2="12"
      stroke="var(--line-strong)"
      stroke-dasharray="1 4"
    />
    <template v-for="(mark, i) in drawing.marks" :key="i">
      <rect
        :x="mark.x - 1.5"
        :y="mark.up ? 2 : 12"
        width="3"
        height="10"
        :fill="mark.hollow ? 'var(--surface)' : mark.up ? 'var(--dusk)' : 'var(--kelp)'"
        :stroke="mark.hollow ? 'var(--line-strong)' : 'none'"
      />
    </template>
    <line :x1="width - 2" :x2="width - 2" y1="8" y2="16" stroke="var(--line-strong)" />
  </svg>
</template>
