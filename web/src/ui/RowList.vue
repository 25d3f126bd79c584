<script setup lang="ts" generic="G extends RowGroup<RowOfList>">
import { useVirtualizer } from '@tanstack/vue-virtual'
import { useEventListener } from '@vueuse/core'
import { computed, nextTick, ref, useId, useTemplateRef, watch } from 'vue'
import type { RowGroup, RowOfList } from '@/ui/rows'

type T = G['rows'][number]

/**
 * A long list in groups, of which only what is seen is drawn: the listbox pattern of the ARIA Authoring Practices with
 * one stop for the tabulator. Rows have fixed heights, in pixels.
 */
const { groups, label, current, picked } = defineProps<{
  groups: readonly G[]
  label: string
  /** The key of the row that is open or pointed at. */
  current: string | undefined
  /** The keys of picked rows; left out where nothing can be picked. */
  picked?: ReadonlySet<string>
}>()
const emit = defineEmits<{
  /** A row was chosen with the pointer. */
  choose: [row: T, event: MouseEvent]
  /** A key leads to another row; arrows and letters are the view's own. */
  go: [key: string]
  /** Everything of the group that holds the current row is wanted. */
  all: [rows: T[]]
}>()
defineSlots<{
  heading(props: { group: G }): unknown
  row(props: { row: T; current: boolean }): unknown
  /** What stands at the end of a group, in one line. */
  end(props: { group: G }): unknown
  after(): unknown
}>()

const HEADING = 28
const END = 30
/** So much is left free below, where what has happened is told. */
const FREE = 72
const id = useId()

/** Everything in one line of numbers, as the virtualizer wants it. */
const items = computed(() =>
  groups.flatMap((group, place) => [
    { key: `heading ${group.key}`, height: HEADING, place, row: undefined },
    ...group.rows.map((row) => ({ key: row.key, height: row.height, place, row })),
    ...(group.end ? [{ key: `end ${group.key}`, height: END, place, row: undefined }] : []),
  ]),
)
const starts = computed(() => {
  const all: number[] = []
  let start = 0
  for (const item of items.value) {
    all.push(start)
    start += item.height
  }
  all.push(start)
  return all
})
const rows = computed(() => groups.flatMap((group) => group.rows))
const place = computed(() => items.value.findIndex((item) => item.key === current))

const scroller = useTemplateRef<HTMLElement>('scroller')
const virtualizer = useVirtualizer<HTMLElement, HTMLElement>(
  computed(() => ({
    count: items.value.length,
    getScrollElement: () => scroller.value,
    estimateSize: (index: number) => items.value[index]?.height ?? 0,
    getItemKey: (index: number) => items.value[index]?.key ?? index,
    overscan: 12,
    scrollPaddingStart: HEADING,
    scrollPaddingEnd: FREE,
    initialRect: { width: 400, height: 800 },
  })),
)
// Sizes are remembered by key; a window that becomes narrow makes rows higher.
watch(starts, () => {
  virtualizer.value.measure()
})

/** On paper every row is there. */
const printing = ref(false)
useEventListener(window, 'beforeprint', () => (printing.value = true))
useEventListener(window, 'afterprint', () => (printing.value = false))

const drawn = computed(() => {
  // The current row is always there, since the list names it to readers of the screen.
  const shown = new Set(
    printing.value
      ? items.value.keys()
      : [place.value, ...virtualizer.value.getVirtualItems().map((item) => item.index)],
  )
  return groups.map((group, place) => {
    const first = items.value.findIndex((item) => item.place === place)
    const size = 1 + group.rows.length + (group.end ? 1 : 0)
    const top = starts.value[first] ?? 0
    const height = (starts.value[first + size] ?? 0) - top
    const seen = group.rows.flatMap((row, i) =>
      shown.has(first + 1 + i) ? [{ row, top: (starts.value[first + 1 + i] ?? 0) - top }] : [],
    )
    return { group, top, height, seen }
  })
})
const number = computed(() => new Map(rows.value.map((row, i) => [row.key, i + 1])))

watch(
  () => [current, place.value < 0] as const,
  () =>
    void nextTick(() => {
      if (place.value >= 0) {
        virtualizer.value.scrollToIndex(place.value, { align: 'auto' })
      }
    }),
  { immediate: true },
)

function optionId(key: string): string {
  return `${id}-${key}`
}

function key(event: KeyboardEvent): void {
  const at = rows.value.findIndex((row) => row.key === current)
  if ((event.ctrlKey || event.metaKey) && event.key === 'a' && picked) {
    event.preventDefault()
    const group = groups.find((each) => each.rows.some((row) => row.key === current)) ?? groups[0]
    emit('all', [...(group?.rows ?? [])])
    return
  }
  if (event.ctrlKey || event.metaKey || event.altKey || event.shiftKey) {
    return
  }
  const page = Math.max(1, Math.floor((scroller.value?.clientHeight || 800) / 40) - 1)
  const last = rows.value.length - 1
  const targets: Record<string, number> = {
    Home: 0,
    End: last,
    PageDown: Math.min(at + page, last),
    PageUp: Math.max(at - page, 0),
  }
  const target = rows.value[targets[event.key] ?? -1]
  if (target) {
    event.preventDefault()
    emit('go', target.key)
  }
}
</script>

<template>
  <div
    ref="scroller"
    class="relative h-full overflow-auto"
    :style="{ paddingBottom: `${FREE}px` }"
    data-rows
  >
    <div
      class="rows relative outline-none"
      :style="{ height: `${starts.at(-1) ?? 0}px` }"
      role="listbox"
      tabindex="0"
      data-keys="view"
      :aria-label="label"
      :aria-multiselectable="picked ? true : undefined"
      :aria-activedescendant="place >= 0 && current ? optionId(current) : undefined"
      @keydown="key"
    >
      <div
        v-for="{ group, top, height, seen } in drawn"
        :key="group.key"
        class="absolute inset-x-0"
        :style="{ top: `${top}px`, height: `${height}px` }"
        role="group"
        :aria-label="group.title"
      >
        <div
          class="bg-paper border-line sticky top-0 z-10 flex items-center justify-between border-b px-3"
          :style="{ height: `${HEADING}px` }"
          role="presentation"
        >
          <slot name="heading" :group="group" />
        </div>
        <div
          v-for="{ row, top: rowTop } in seen"
          :id="optionId(row.key)"
          :key="row.key"
          class="absolute inset-x-0"
          :style="{ top: `${rowTop}px`, height: `${row.height}px` }"
          role="option"
          :aria-selected="picked ? picked.has(row.key) : row.key === current"
          :aria-current="row.key === current ? true : undefined"
          :aria-setsize="rows.length"
          :aria-posinset="number.get(row.key)"
          @click="(event) => emit('choose', row, event)"
        >
          <slot name="row" :row="row" :current="row.key === current" />
        </div>
        <div
          v-if="group.end"
          class="text-ink-soft absolute inset-x-0 bottom-0 truncate px-3 py-1.5"
          :style="{ height: `${END}px` }"
          role="presentation"
        >
          <slot name="end" :group="group" />
        </div>
      </div>
    </div>
    <slot name="after" />
  </div>
</template>
