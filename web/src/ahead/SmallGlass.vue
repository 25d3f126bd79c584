<script setup lang="ts">
import { computed } from 'vue'
import type { CategoryView, DayAhead } from '@/api/client'
import { effortText } from '@/ui/effort'

/** One day's free time as a glass, with what weighs on the day in it. */
const { day, categories, mostMinutes, height } = defineProps<{
  day: DayAhead
  categories: readonly CategoryView[]
  /** How many minutes the drawing is high, the same for all days. */
  mostMinutes: number
  height: number
}>()
const WIDTH = 92
const GAP = 2
const scale = computed(() => height / Math.max(60, mostMinutes))
const rim = computed(() => height - day.freeMinutes * scale.value)
const kept = computed(() => (day.freeMinutes - day.roomMinutes) * scale.value)
const layers = computed(() => {
  let floor = height - 1
  let level = rim.value - 4
  return day.entries.map((entry) => {
    const thick = Math.max(3, entry.minutes * scale.value)
    if (entry.fits) {
      floor -= thick
      return { entry, y: floor, height: thick - GAP }
    }
    level -= thick
    const layer = { entry, y: level, height: thick - GAP }
    level -= 3
    return layer
  })
})

function hue(categoryId: string | null): string {
  const category = categories.find((each) => each.id === categoryId)
  return category ? `var(--hue-${category.hue.toLowerCase()})` : 'var(--line-strong)'
}
</script>

<template>
  <svg
    :viewBox="`0 0 ${WIDTH} ${height}`"
    :width="WIDTH"
    :height="height"
    class="mx-auto block overflow-visible"
    role="img"
    :aria-label="`${effortText(day.roomMinutes)} free, ${effortText(day.plannedMinutes)} in it`"
  >
    <rect
      v-if="kept > 2"
      x="9"
      :y="rim"
      :width="WIDTH - 18"
      :height="kept"
      fill="var(--line)"
      opacity="0.45"
    />
    <template v-for="layer in layers" :key="layer.entry.line.id">
      <rect
        v-if="layer.entry.fits"
        x="13"
        :y="layer.y"
        :width="WIDTH - 26"
        :height="layer.height"
        :fill="hue(layer.entry.line.categoryId)"
        opacity="0.32"
      />
      <rect
        v-else
        x="15"
        :y="layer.y"
        :width="WIDTH - 30"
        :height="layer.height"
        fill="var(--brass-wash)"
        stroke="var(--brass)"
        stroke-dasharray="3 3"
      />
    </template>
    <template v-if="day.freeMinutes > 0">
      <path
        :d="`M 6 ${rim} L 10 ${height} L ${WIDTH - 10} ${height} L ${WIDTH - 6} ${rim}`"
        fill="none"
        stroke="var(--line-strong)"
        stroke-width="1.5"
      />
      <line x1="1" :x2="WIDTH - 1" :y1="rim" :y2="rim" stroke="var(--kelp)" stroke-width="2" />
    </template>
    <line v-else x1="6" :x2="WIDTH - 6" :y1="height" :y2="height" stroke="var(--line-strong)" />
  </svg>
</template>
