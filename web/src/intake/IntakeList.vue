<script setup lang="ts">
import { Paperclip } from '@lucide/vue'
import { computed, nextTick, useTemplateRef, watch } from 'vue'
import type { IntakeLine } from '@/api/client'
import { HEAPS, type Heap } from '@/intake/order'
import { moment, replyByShort, workingSpan, workingSpanInWords } from '@/ui/time'

const { lines, counts, selected } = defineProps<{
  lines: readonly IntakeLine[]
  counts: Readonly<Partial<Record<Heap, number>>>
  selected: string | undefined
}>()
const emit = defineEmits<{ open: [id: string] }>()

const heaps = computed(() =>
  HEAPS.map((heap) => ({ ...heap, lines: lines.filter((line) => line.heap === heap.heap) })),
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
        <li v-for="line in heap.lines" :key="line.id">
          <button
            type="button"
            class="border-line grid h-[30px] w-full scroll-my-8 grid-cols-[116px_1fr_auto_42px] items-center gap-2 border-b px-3 text-left"
            :class="
              line.id === selected
                ? 'bg-kelp-wash shadow-[inset_3px_0_0_var(--kelp)]'
                : 'hover:bg-surface'
            "
            :aria-current="line.id === selected"
            :title="`${line.from}: ${line.about} (${moment(line.sentAt)}, ${line.room ?? line.source})`"
            :data-message="line.id"
            @click="emit('open', line.id)"
          >
            <span class="truncate font-semibold">{{ line.from }}</span>
            <span class="truncate">{{ line.about }}</span>
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
  </div>
</template>
