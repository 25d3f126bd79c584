<script setup lang="ts">
import { computed, useTemplateRef } from 'vue'
import type { CategoryView, DayEntry, TodayData } from '@/api/client'
import { gauge, lengthOf, minuteOf } from '@/today/gauge'
import { useBlockDrag } from '@/today/useBlockDrag'
import { clockOf } from '@/ui/clockTime'
import { effortText } from '@/ui/effort'
import { shortMoment } from '@/ui/time'

/** The day's hours as a ruler, and beside it the free time as a glass that the efforts fill. */
const { today, categories, at, height } = defineProps<{
  today: TodayData
  categories: readonly CategoryView[]
  /** The moment by the application's clock. */
  at: Date
  height: number
}>()
const emit = defineEmits<{ place: [id: string, at: string, minutes: number | null] }>()
const clock = computed(() => shortMoment(at.toISOString(), at))
const drawn = computed(() => gauge(today, minuteOf(clock.value), height))

const svg = useTemplateRef<SVGSVGElement>('svg')
const { placed, minuteAt, begin } = useBlockDrag({
  drawn: () => drawn.value,
  svg: () => svg.value,
  reach: 200,
  place: ({ entry, fromMinute, minutes }) => {
    const own = minutes === entry.minutesLeft ? null : minutes
    emit('place', entry.line.id, clockOf(fromMinute), own)
  },
})
defineExpose({ minuteAt })
const ghost = computed(() => {
  const scale = drawn.value?.scale ?? 0
  const zero = drawn.value?.minuteAt(0) ?? 0
  return placed.value
    ? {
        y: (placed.value.fromMinute - zero) * scale,
        height: Math.max(4, placed.value.minutes * scale),
        text: `${clockOf(placed.value.fromMinute)}–${clockOf(Math.min(1439, placed.value.fromMinute + placed.value.minutes))}`,
      }
    : undefined
})

const GLASS = { left: 208, right: 372, slant: 8 }

function hue(entry: DayEntry): string {
  const category = categories.find((each) => each.id === entry.line.categoryId)
  return category ? `var(--hue-${category.hue.toLowerCase()})` : 'var(--line-strong)'
}

/** The glass is wider at its rim than at its foot. */
function inset(y: number): number {
  const gone = drawn.value
  if (!gone || gone.bottom === gone.rim) {
    return 0
  }
  return (GLASS.slant * (y - gone.rim)) / (gone.bottom - gone.rim)
}

function cut(text: string, width: number): string {
  const most = Math.floor(width / 5.9)
  return text.length > most ? `${text.slice(0, most - 1).trimEnd()}…` : text
}

/** Of many at the same time the last ones stand close. */
function laneOf(lane: number): number {
  return Math.min(lane * 34, 88)
}

const spoken = computed(
  () =>
    `${effortText(today.roomMinutes)} free, ${effortText(today.plannedMinutes)} planned` +
    (today.overMinutes > 0 ? `, ${effortText(today.overMinutes)} too much` : '') +
    (today.meetings.length > 0
      ? `. Meetings: ${today.meetings.map((meeting) => meeting.title).join(', ')}`
      : ''),
)
</script>

<template>
  <figure v-if="drawn" data-test="gauge">
    <svg
      ref="svg"
      :viewBox="`0 0 384 ${height}`"
      :width="384"
      :height="height"
      class="max-w-full"
      role="img"
      :aria-label="spoken"
    >
      <defs>
        <pattern
          id="kept"
          width="7"
          height="7"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <line x1="0" y1="0" x2="0" y2="7" stroke="var(--line-strong)" stroke-width="1" />
        </pattern>
        <pattern id="busy" width="6" height="6" patternUnits="userSpaceOnUse">
          <circle cx="1.5" cy="1.5" r="0.8" fill="var(--dusk)" opacity="0.55" />
        </pattern>
      </defs>
      <line
        x1="52"
        x2="52"
        :y1="drawn.top"
        :y2="drawn.bottom"
        stroke="var(--line-strong)"
        stroke-width="1.5"
      />
      <g v-for="hour in drawn.hours" :key="hour.label">
        <line x1="47" x2="52" :y1="hour.y" :y2="hour.y" stroke="var(--line-strong)" />
        <text x="42" :y="hour.y + 4" text-anchor="end" class="label">{{ hour.label }}</text>
      </g>
      <g
        v-for="each in drawn.meetings"
        :key="`${each.meeting.title} ${each.meeting.fromMinute}`"
        data-test="meeting"
      >
        <title>
          {{ each.meeting.title }}{{ each.meeting.place ? `, ${each.meeting.place}` : '' }}
        </title>
        <rect
          :x="53 + laneOf(each.lane)"
          :y="each.y"
          :width="112 - laneOf(each.lane)"
          :height="each.height"
          fill="var(--dusk-wash)"
          :stroke="each.meeting.takesTime ? 'var(--dusk)' : 'var(--line-strong)'"
          :stroke-dasharray="each.meeting.tentative ? '4 3' : undefined"
        />
        <rect
          v-if="each.meeting.takesTime"
          :x="53 + laneOf(each.lane)"
          :y="each.y"
          :width="112 - laneOf(each.lane)"
          :height="each.height"
          fill="url(#busy)"
        />
        <text
          v-if="each.height > 13"
          :x="59 + laneOf(each.lane)"
          :y="each.y + Math.min(each.height / 2 + 4, 16)"
          class="label meeting"
        >
          {{ cut(each.meeting.title, 104 - laneOf(each.lane)) }}
        </text>
      </g>
      <g v-for="block in drawn.blocks" :key="`block ${block.entry.line.id}`" data-test="block">
        <title>
          {{ block.entry.at?.slice(0, 5) }}, {{ effortText(lengthOf(block.entry)) }}:
          {{ block.entry.line.title }}
        </title>
        <rect
          x="119"
          :y="block.y"
          width="66"
          :height="block.height"
          fill="var(--surface)"
          :stroke="hue(block.entry)"
          stroke-width="1.5"
          class="grip"
          @pointerdown="(event) => begin(event, block.entry, 'move')"
        />
        <rect
          x="119"
          :y="block.y + block.height - 5"
          width="66"
          height="9"
          fill="transparent"
          class="edge"
          data-test="block-edge"
          @pointerdown="(event) => begin(event, block.entry, 'size')"
        />
        <text
          v-if="block.height > 12"
          x="123"
          :y="block.y + Math.min(block.height / 2 + 4, 16)"
          class="label still"
        >
          {{ cut(block.entry.line.title, 60) }}
        </text>
      </g>
      <g v-if="drawn.now !== undefined">
        <line
          x1="34"
          x2="170"
          :y1="drawn.now"
          :y2="drawn.now"
          stroke="var(--kelp)"
          stroke-width="2"
        />
        <circle cx="52" :cy="drawn.now" r="4" fill="var(--kelp)" />
        <text x="174" :y="drawn.now + 4" class="label now">{{ clock }}</text>
      </g>
      <g class="glass">
        <rect
          v-if="drawn.kept > 0"
          :x="GLASS.left + 3"
          :y="drawn.rim"
          :width="GLASS.right - GLASS.left - 6"
          :height="drawn.kept"
          fill="url(#kept)"
          opacity="0.5"
        />
        <text v-if="drawn.kept > 16" :x="GLASS.left + 10" :y="drawn.rim + 14" class="label kept">
          kept for the unforeseen
        </text>
        <g v-for="layer in drawn.layers" :key="layer.entry.line.id">
          <title>{{ layer.entry.line.title }}, {{ effortText(layer.entry.minutesLeft) }}</title>
          <rect
            :x="GLASS.left + 3 + inset(layer.y)"
            :y="layer.y"
            :width="GLASS.right - GLASS.left - 6 - 2 * inset(layer.y)"
            :height="layer.height"
            :fill="hue(layer.entry)"
            opacity="0.28"
            class="grip"
            data-test="layer"
            @pointerdown="(event) => begin(event, layer.entry, 'move')"
          />
          <text
            v-if="layer.height > 12"
            :x="GLASS.left + 10 + inset(layer.y)"
            :y="layer.y + layer.height / 2 + 4"
            class="label still"
          >
            {{ cut(layer.entry.line.title, 140) }}
          </text>
        </g>
        <path
          :d="`M ${GLASS.left} ${drawn.rim} L ${GLASS.left + GLASS.slant} ${drawn.bottom} L ${GLASS.right - GLASS.slant} ${drawn.bottom} L ${GLASS.right} ${drawn.rim}`"
          fill="none"
          stroke="var(--line-strong)"
          stroke-width="1.5"
        />
        <line
          :x1="GLASS.left - 6"
          :x2="GLASS.right + 6"
          :y1="drawn.rim"
          :y2="drawn.rim"
          stroke="var(--kelp)"
          stroke-width="2"
        />
        <g v-for="layer in drawn.above" :key="layer.entry.line.id" data-test="above-the-rim">
          <title>{{ layer.entry.line.title }} does not fit</title>
          <rect
            :x="GLASS.left + 4"
            :y="layer.y"
            :width="GLASS.right - GLASS.left - 8"
            :height="layer.height"
            fill="var(--brass-wash)"
            stroke="var(--brass)"
            stroke-dasharray="4 3"
            class="grip"
            @pointerdown="(event) => begin(event, layer.entry, 'move')"
          />
          <text
            v-if="layer.height > 12"
            :x="GLASS.left + 11"
            :y="layer.y + layer.height / 2 + 4"
            class="label over still"
          >
            {{ cut(layer.entry.line.title, 140) }}
          </text>
        </g>
      </g>
      <g v-if="ghost" class="still" data-test="ghost">
        <rect
          x="53"
          :y="ghost.y"
          width="132"
          :height="ghost.height"
          fill="var(--kelp-wash)"
          stroke="var(--kelp)"
          stroke-width="2"
        />
        <text x="60" :y="ghost.y + 15" class="label now">{{ ghost.text }}</text>
      </g>
    </svg>
    <figcaption class="text-ink-soft mt-1 text-sm">
      <span v-if="drawn.allDay.length > 0" class="text-dusk mr-2 font-semibold"
        >All day: {{ drawn.allDay.map((meeting) => meeting.title).join(', ') }}.</span
      >
      <span v-if="today.spentMinutes > 0">{{ effortText(today.spentMinutes) }} worked today. </span>
      <span
        >{{ effortText(today.freeMinutes) }} free,
        {{ effortText(today.freeMinutes - today.roomMinutes) }} of it kept; the rim sinks as the day
        goes.</span
      >
    </figcaption>
  </figure>
</template>

<style scoped>
.label {
  font-size: 12px;
  fill: var(--ink);
}
.meeting {
  fill: var(--dusk);
}
.grip {
  cursor: grab;
  touch-action: none;
}
.edge {
  cursor: ns-resize;
  touch-action: none;
}
.still {
  pointer-events: none;
}
.now {
  fill: var(--kelp);
  font-weight: 600;
}
.kept {
  fill: var(--ink-soft);
}
.over {
  fill: var(--brass-ink);
}
</style>
