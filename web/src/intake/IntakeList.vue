<script setup lang="ts">
import { Paperclip } from '@lucide/vue'
import { computed, nextTick, useTemplateRef, watch } from 'vue'
import type { IntakeLine } from '@/api/client'
import { HEAPS, type Heap } from '@/intake/order'
import { day, moment, replyByShort, workingSpan, workingSpanInWords } from '@/ui/time'

const { lines, counts, selected, picked, putOff } = defineProps<{
  lines: readonly IntakeLine[]
  counts: Readonly<Partial<Record<Heap, number>>>
  selected: string | undefined
  picked: ReadonlySet<string>
  putOff: readonly IntakeLine[]
}>()
const emit = defineEmits<{
  open: [id: string]
  pick: [id: string, how: 'one' | 'range']
  drag: [id: string]
  dropped: []
}>()

/** A click opens; with a modifier it picks. */
function click(event: MouseEvent, id: string): void {
  if (event.shiftKey) {
    emit('pick', id, 'range')
  } else if (event.ctrlKey || event.metaKey) {
    emit('pick', id, 'one')
  } else {
    emit('open', id)
  }
}

/** The browser has changed the box already; what is picked decides. */
function clickBox(event: MouseEvent, id: string): void {
  const box = event.currentTarget as HTMLInputElement
  emit('pick', id, event.shiftKey ? 'range' : 'one')
  void nextTick(() => (box.checked = picked.has(id)))
}

function startDrag(event: DragEvent, id: string): void {
  event.dataTransfer?.setData('text/plain', id)
  emit('drag', id)
}

/** Where nothing waits at all, the empty Intake says so; empty heaps would only repeat it. */
const heaps = computed(() =>
  (lines.length === 0 ? [] : HEAPS).map((heap) => ({
    ...heap,
    lines: lines.filter((line) => line.heap === heap.heap),
  })),
)
const list = useTemplateRef<HTMLElement>('list')

watch(
  () => selected,
  () =>
    void nextTick(() => {
      list.value?.querySelector('[aria-current="true"]')?.scrollIntoView({ block: 'nearest' })
    }),
)
</script>

<template>
  <div ref="list" class="relative h-full overflow-auto" data-test="intake-list">
    <section v-for="heap in heaps" :key="heap.heap" :aria-label="heap.title">
      <h2
        class="bg-paper border-line sticky top-0 z-10 flex h-7 items-center justify-between border-b px-3 font-semibold"
      >
        {{ heap.title }}
        <span class="text-ink-soft font-normal">{{ counts[heap.heap] ?? heap.lines.length }}</span>
      </h2>
      <p v-if="heap.lines.length === 0" class="text-ink-soft px-3 py-1.5">{{ heap.empty }}</p>
      <ul>
        <li
          v-for="line in heap.lines"
          :key="line.id"
          class="border-line flex items-center border-b"
          :class="
            line.id === selected
              ? 'bg-kelp-wash shadow-[inset_3px_0_0_var(--kelp)]'
              : picked.has(line.id)
                ? 'bg-kelp-wash'
                : 'hover:bg-surface'
          "
          draggable="true"
          @dragstart="(event) => startDrag(event, line.id)"
          @dragend="emit('dropped')"
        >
          <label class="grid h-[30px] w-7 shrink-0 cursor-pointer place-items-center pl-1">
            <span class="sr-only">Pick the message from {{ line.from }}</span>
            <input
              type="checkbox"
              class="pick"
              tabindex="-1"
              :checked="picked.has(line.id)"
              data-test="pick"
              @click.stop="(event) => clickBox(event, line.id)"
            />
          </label>
          <button
            type="button"
            class="grid h-[30px] min-w-0 flex-1 scroll-my-8 grid-cols-[108px_1fr_auto_42px] items-center gap-2 pr-3 text-left"
            :aria-current="line.id === selected"
            :title="`${line.from}: ${line.about} (${moment(line.sentAt)}, ${line.room ?? line.source})`"
            :data-message="line.id"
            @click="(event) => click(event, line.id)"
          >
            <bdi class="truncate font-semibold">{{ line.from }}</bdi>
            <bdi class="truncate">{{ line.about }}</bdi>
            <span
              v-if="line.replyDay"
              class="text-sm whitespace-nowrap"
              :class="line.replyFirm ? 'text-brass-ink font-semibold' : 'text-brass-ink'"
              data-test="line-date"
              ><span class="sr-only">{{ line.replyFirm ? 'by' : 'by about' }}</span
              >{{ replyByShort(line.replyDay, line.replyTime) }}</span
            ><span v-else />
            <span class="text-ink-soft flex items-center justify-end gap-1 text-sm">
              <Paperclip v-if="line.hasFiles" :size="13" aria-label="with files" />
              <span aria-hidden="true">{{ workingSpan(line.waitingWorkingMinutes) }}</span>
              <span class="sr-only"
                >waiting for {{ workingSpanInWords(line.waitingWorkingMinutes) }}</span
              >
            </span>
          </button>
        </li>
      </ul>
      <p v-if="(counts[heap.heap] ?? 0) > heap.lines.length" class="text-ink-soft px-3 py-1.5">
        The newest {{ heap.lines.length }} are shown; the others follow as you decide.
      </p>
    </section>
    <details v-if="putOff.length" class="px-3 py-1.5" data-test="put-off-list">
      <summary class="hover:text-kelp text-ink-soft w-max cursor-pointer">
        Put off ({{ putOff.length }})
      </summary>
      <ul>
        <li v-for="line in putOff" :key="line.id">
          <button
            type="button"
            class="hover:bg-surface grid h-[30px] w-full grid-cols-[108px_1fr_auto] items-center gap-2 text-left"
            :aria-current="line.id === selected"
            @click="emit('open', line.id)"
          >
            <bdi class="truncate font-semibold">{{ line.from }}</bdi>
            <bdi class="truncate">{{ line.about }}</bdi>
            <span class="text-ink-soft text-sm">{{
              line.putOffUntil ? day(line.putOffUntil) : ''
            }}</span>
          </button>
        </li>
      </ul>
    </details>
  </div>
</template>
