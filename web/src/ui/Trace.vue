<script setup lang="ts">
import { computed, ref, useTemplateRef } from 'vue'
import type { ThreadLine } from '@/api/client'
import { day, moment, workingSpanInWords } from '@/ui/time'
import { drawTrace, nearest, type DayAhead } from '@/ui/trace'

/**
 * A thread drawn over time: others' messages upwards, mine downwards, days without work shaded, the days ahead that
 * somebody named behind now. What is pointed at is said in words.
 */
const {
  thread,
  now,
  width = 220,
  words,
  walked,
} = defineProps<{
  thread: ThreadLine
  now: string
  width?: number
  /** The beginning of each message, by its id, where that is known. */
  words?: ReadonlyMap<string, string> | undefined
  /** Whether the arrows walk along it. */
  walked?: boolean
}>()
const emit = defineEmits<{
  /** It is pointed at: the words of its messages are wanted. */
  wanted: []
  /** A message was chosen. */
  choose: [messageId: string]
}>()

const HEIGHT = 24
const ahead = computed<DayAhead[]>(() => [
  ...thread.debts.flatMap((debt) =>
    debt.byDay
      ? [
          {
            day: debt.byDay,
            kind: 'mine' as const,
            text: `you owe ${debt.to} by ${day(debt.byDay)}`,
          },
        ]
      : [],
  ),
  ...thread.awaited.flatMap((one) => [
    ...(one.byDay
      ? [
          {
            day: one.byDay,
            kind: 'theirs' as const,
            text: `${one.name} ${one.promised ? 'promised' : 'is to answer by'} ${day(one.byDay)}`,
          },
        ]
      : []),
    {
      day: one.chaseOn,
      kind: 'chase' as const,
      text: `${one.name} is to be chased on ${day(one.chaseOn)}`,
    },
  ]),
])
const drawing = computed(() => drawTrace(thread.trace, now, width, ahead.value))
const label = computed(() => {
  const mine = thread.trace.filter((tick) => tick.direction === 'OUTGOING').length
  const automatic = thread.trace.filter((tick) => tick.automatic).length
  const others = thread.trace.length - mine - automatic
  const said = `${others} from others, ${mine} from me, ${automatic} automatic; silent for ${workingSpanInWords(thread.silenceWorkingMinutes)}`
  return [said, ...drawing.value.ahead.map((each) => each.text)].join('; ')
})

const svg = useTemplateRef<SVGSVGElement>('svg')
const pointed = ref<string>()
const mark = computed(() => drawing.value.marks.find((each) => each.messageId === pointed.value))
const dayAhead = ref<DayAhead & { x: number }>()
const said = computed(() => {
  if (dayAhead.value) {
    return { x: dayAhead.value.x, text: dayAhead.value.text }
  }
  if (!mark.value) {
    return undefined
  }
  const what = mark.value.reminder ? 'a reminder' : mark.value.up ? 'from them' : 'from me'
  const text = words?.get(mark.value.messageId) ?? what
  return { x: mark.value.x, text: `${moment(mark.value.sentAt)}: ${text}` }
})

function point(event: PointerEvent): void {
  const box = svg.value?.getBoundingClientRect()
  if (box && box.width > 0) {
    emit('wanted')
    const x = ((event.clientX - box.left) / box.width) * width
    pointed.value = nearest(drawing.value.marks, x)?.messageId
    dayAhead.value = pointed.value
      ? undefined
      : drawing.value.ahead.find((each) => Math.abs(each.x - x) <= 8)
  }
}

function leave(): void {
  pointed.value = undefined
  dayAhead.value = undefined
}

function walk(by: 1 | -1): void {
  const marks = drawing.value.marks
  const at = marks.findIndex((each) => each.messageId === pointed.value)
  const to = at < 0 ? (by > 0 ? 0 : marks.length - 1) : at + by
  pointed.value = marks[Math.min(Math.max(to, 0), marks.length - 1)]?.messageId
}

function choose(): void {
  if (pointed.value && walked) {
    emit('choose', pointed.value)
  }
}

const COLOR = { mine: 'var(--kelp)', theirs: 'var(--dusk)', chase: 'var(--brass)' } as const
</script>

<template>
  <div
    class="relative max-w-full"
    :style="{ width: `${width}px` }"
    :tabindex="walked ? 0 : undefined"
    :role="walked ? 'group' : undefined"
    :aria-label="walked ? `The messages in time: ${label}` : undefined"
    data-keys="own"
    @focus="emit('wanted')"
    @blur="leave"
    @keydown.left.prevent="walk(-1)"
    @keydown.right.prevent="walk(1)"
    @keydown.enter.prevent="choose"
  >
    <svg
      ref="svg"
      class="block max-w-full"
      :width="width"
      :height="HEIGHT"
      :viewBox="`0 0 ${width} ${HEIGHT}`"
      role="img"
      :aria-label="label"
      data-test="trace"
      @pointermove="point"
      @pointerleave="leave"
      @click="choose"
    >
      <rect
        v-for="(stretch, i) in drawing.off"
        :key="`off ${i}`"
        :x="stretch.x"
        y="1"
        :width="stretch.width"
        :height="HEIGHT - 2"
        fill="var(--line)"
        opacity="0.55"
      />
      <line x1="2" :x2="drawing.lastX" :y1="12" :y2="12" stroke="var(--line-strong)" />
      <line
        :x1="drawing.lastX"
        :x2="width - 2"
        :y1="12"
        :y2="12"
        stroke="var(--line-strong)"
        stroke-dasharray="1 4"
      />
      <template v-for="one in drawing.marks" :key="one.messageId">
        <rect
          :x="one.x - 1.5"
          :y="one.up ? 2 : 12"
          width="3"
          height="10"
          :fill="
            one.hollow
              ? 'var(--surface)'
              : one.reminder
                ? 'var(--brass)'
                : one.up
                  ? 'var(--dusk)'
                  : 'var(--kelp)'
          "
          :stroke="
            one.messageId === pointed ? 'var(--ink)' : one.hollow ? 'var(--line-strong)' : 'none'
          "
        />
      </template>
      <line :x1="drawing.nowX" :x2="drawing.nowX" y1="6" y2="18" stroke="var(--ink-soft)" />
      <path
        v-for="(one, i) in drawing.ahead"
        :key="`ahead ${i}`"
        :d="`M ${one.x} 7 l 4 5 l -4 5 l -4 -5 z`"
        :fill="one.kind === 'chase' ? 'var(--surface)' : COLOR[one.kind]"
        :stroke="COLOR[one.kind]"
      />
    </svg>
    <p
      v-if="said"
      class="floating pointer-events-none absolute top-full z-30 mt-1 max-w-80 truncate px-2 py-1 text-sm whitespace-nowrap"
      :style="
        said.x > width / 2
          ? { right: `${width - said.x}px` }
          : { left: `${Math.max(said.x - 8, 0)}px` }
      "
      aria-live="polite"
      data-test="trace-words"
    >
      {{ said.text }}
    </p>
  </div>
</template>
