<script setup lang="ts">
import { useMediaQuery, useStorage } from '@vueuse/core'
import { computed } from 'vue'
import { STRIP_KEYS } from '@/strips/keys'
import { type Dragged, type Shown, type StripDrop } from '@/strips/shown'
import StripPane from '@/strips/StripPane.vue'
import { useKeys } from '@/ui/keys'

/** A view with up to two strips at its side, on windows that have room; each folds away with a key and keeps its width. */
const { group, dragged = [] } = defineProps<{
  /** The title of the view's keys. */
  group: string
  dragged?: readonly Dragged[]
}>()
const emit = defineEmits<{
  /** Messages were let go; nothing further is to be done with them where it says nothing. */
  drop: [what: StripDrop | undefined]
}>()

const LEAST = 180
const MOST = 520
const room = useMediaQuery('(min-width: 1024px)')
const roomForTwo = useMediaQuery('(min-width: 1500px)')
const strips = useStorage<{ open: boolean; width: number; shows: Shown }[]>('strips', [
  { open: false, width: 260, shows: { kind: 'plan' } },
  {
    open: false,
    width: 260,
    shows: { kind: 'group', facet: 'REPLY_BY', key: 'TODAY', name: 'Today' },
  },
])
const open = computed(() =>
  strips.value
    .map((strip, place) => ({ strip, place }))
    .filter(({ strip, place }) => strip.open && room.value && (place === 0 || roomForTwo.value)),
)

function fold(place: number): void {
  strips.value = strips.value.map((strip, i) =>
    i === place ? { ...strip, open: !strip.open } : strip,
  )
}

function show(place: number, shows: Shown): void {
  strips.value = strips.value.map((strip, i) => (i === place ? { ...strip, shows } : strip))
}

function widen(place: number, width: number): void {
  const bounded = Math.min(Math.max(Math.round(width), LEAST), MOST)
  strips.value = strips.value.map((strip, i) =>
    i === place ? { ...strip, width: bounded } : strip,
  )
}

function pull(event: PointerEvent, place: number): void {
  const handle = event.currentTarget as HTMLElement
  const start = event.clientX
  const width = strips.value[place]?.width ?? LEAST
  handle.setPointerCapture(event.pointerId)
  const move = (now: PointerEvent) => {
    widen(place, width + start - now.clientX)
  }
  handle.addEventListener('pointermove', move)
  handle.addEventListener(
    'lostpointercapture',
    () => {
      handle.removeEventListener('pointermove', move)
    },
    { once: true },
  )
}

useKeys(group, [
  {
    ...STRIP_KEYS.beside,
    run: () => {
      fold(0)
    },
    when: () => room.value,
  },
  {
    ...STRIP_KEYS.besideToo,
    run: () => {
      fold(1)
    },
    when: () => roomForTwo.value,
  },
])
</script>

<template>
  <div class="flex h-full min-w-0">
    <div class="h-full min-w-0 flex-1">
      <slot />
    </div>
    <aside
      v-for="{ strip, place } in open"
      :key="place"
      class="border-line relative flex shrink-0 border-l print:hidden"
      :style="{ width: `${strip.width}px` }"
    >
      <div
        class="hover:bg-kelp-wash focus-visible:bg-kelp-wash absolute inset-y-0 -left-1 z-10 w-2 cursor-col-resize"
        role="separator"
        aria-orientation="vertical"
        tabindex="0"
        aria-label="Its width"
        :aria-valuenow="strip.width"
        :aria-valuemin="LEAST"
        :aria-valuemax="MOST"
        @pointerdown.prevent="pull($event, place)"
        @keydown.left.prevent.stop="widen(place, strip.width + 20)"
        @keydown.right.prevent.stop="widen(place, strip.width - 20)"
      />
      <StripPane
        :model-value="strip.shows"
        :dragged="dragged"
        @update:model-value="(shows) => show(place, shows)"
        @fold="fold(place)"
        @drop="(what) => emit('drop', what)"
      />
    </aside>
  </div>
</template>
