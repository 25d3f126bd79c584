<script setup lang="ts">
import { Check, ChevronDown, ChevronRight, Paperclip } from '@lucide/vue'
import { useMediaQuery } from '@vueuse/core'
import { computed, useTemplateRef } from 'vue'
import type { IntakeLine } from '@/api/client'
import { linesOf, type HeapRows, type Row } from '@/intake/rows'
import { FAR_ENOUGH, useSwipedRow } from '@/intake/useSwipedRow'
import RowList from '@/ui/RowList.vue'
import { day, moment, replyBy, replyByShort, workingSpan, workingSpanInWords } from '@/ui/time'

const { heaps, current, picked, putOff } = defineProps<{
  heaps: readonly HeapRows[]
  current: string | undefined
  picked: ReadonlySet<string>
  putOff: readonly IntakeLine[]
}>()
const emit = defineEmits<{
  open: [id: string]
  pick: [ids: string[], how: 'one' | 'range']
  /** Everything of a heap is picked. */
  pickAll: [ids: string[]]
  unfold: [line: IntakeLine]
  /** A finger moved a row to a side. */
  swiped: [key: string, side: 'left' | 'right']
  drag: [ids: string[]]
  dropped: []
}>()

function idsOf(row: Row): string[] {
  return linesOf(row).map((line) => line.id)
}

/** A click opens; with a modifier it picks. */
function click(event: MouseEvent, row: Row): void {
  if (event.shiftKey) {
    emit('pick', idsOf(row), 'range')
  } else if (event.ctrlKey || event.metaKey) {
    emit('pick', idsOf(row), 'one')
  } else {
    emit('open', row.key)
  }
}

function startDrag(event: DragEvent, row: Row): void {
  event.dataTransfer?.setData('text/plain', row.key)
  emit('drag', idsOf(row))
}

/** What a row is about besides what it says: where it was written, or under which subject; a chat of two has neither. */
function where(line: IntakeLine): string {
  return line.room === line.from ? '' : (line.room ?? line.subjectBeside)
}

function hover(line: IntakeLine): string {
  const place = line.room ?? line.source
  return `${line.from}: ${line.about} (${moment(line.sentAt)}, ${place})`
}

const touch = useMediaQuery('(pointer: coarse)')
const frame = useTemplateRef<HTMLElement>('frame')
const swiped = useSwipedRow(frame, (key, side) => {
  emit('swiped', key, side)
})

/** Where a row is while a finger moves it. */
function movedBy(row: Row): { transform: string } | undefined {
  return swiped.value?.key === row.key
    ? { transform: `translateX(${swiped.value.by}px)` }
    : undefined
}

/** A fold is picked when all of it is. */
const pickedRows = computed(
  () =>
    new Set(
      heaps.flatMap((heap) =>
        heap.rows.filter((row) => idsOf(row).every((id) => picked.has(id))).map((row) => row.key),
      ),
    ),
)
</script>

<template>
  <div ref="frame" class="h-full touch-pan-y overflow-hidden">
    <RowList
      label="Messages that wait"
      data-test="intake-list"
      :groups="heaps"
      :current="current"
      :picked="pickedRows"
      @choose="(row, event) => click(event, row)"
      @go="(key) => emit('open', key)"
      @all="(rows) => emit('pickAll', rows.flatMap(idsOf))"
    >
      <template #heading="{ group }">
        <span class="font-semibold">{{ group.title }}</span>
        <span class="text-ink-soft">{{ group.count }}</span>
      </template>
      <template #row="{ row, current: open }">
        <div
          v-if="swiped?.key === row.key"
          class="bg-kelp-wash text-kelp absolute inset-0 flex items-center px-4 font-semibold"
          :class="[
            swiped.by > 0 ? '' : 'justify-end',
            Math.abs(swiped.by) >= FAR_ENOUGH ? '' : 'opacity-60',
          ]"
          aria-hidden="true"
        >
          {{ swiped.by > 0 ? 'Follow up' : 'Nothing to do' }}
        </div>
        <div
          :style="movedBy(row)"
          class="border-line relative flex h-full cursor-pointer items-center border-b pr-3"
          :class="
            open
              ? 'bg-kelp-wash shadow-[inset_3px_0_0_var(--kelp)]'
              : pickedRows.has(row.key)
                ? 'bg-kelp-wash'
                : 'bg-paper hover:bg-surface'
          "
          :draggable="!touch"
          :title="hover(row.first)"
          :data-message="row.key"
          @dragstart="(event) => startDrag(event, row)"
          @dragend="emit('dropped')"
        >
          <span
            class="grid h-full w-8 shrink-0 place-items-center pl-1"
            data-test="pick"
            @click.stop="(event) => emit('pick', idsOf(row), event.shiftKey ? 'range' : 'one')"
          >
            <span
              class="pick-box"
              :class="pickedRows.has(row.key) ? 'bg-kelp border-kelp text-on-kelp' : ''"
            >
              <Check v-if="pickedRows.has(row.key)" :size="12" aria-hidden="true" />
            </span>
          </span>
          <span
            v-if="row.kind === 'fold'"
            class="hover:text-kelp mr-1 flex h-full w-11 shrink-0 items-center gap-0.5 font-semibold"
            title="Show each of them"
            data-test="unfold"
            @click.stop="emit('unfold', row.first)"
          >
            <ChevronRight :size="15" aria-hidden="true" /> {{ row.lines.length }}
            <span class="sr-only">messages in</span>
          </span>
          <span
            v-else-if="row.unfolded"
            class="hover:text-kelp grid h-full w-5 shrink-0 place-items-center"
            title="Fold them into one row"
            @click.stop="emit('unfold', row.line)"
          >
            <ChevronDown :size="13" aria-hidden="true" />
          </span>
          <span class="min-w-0 flex-1">
            <template v-if="row.kind === 'fold'">
              <span class="flex min-w-0 gap-2">
                <bdi class="max-w-1/2 shrink-0 truncate font-semibold">{{
                  where(row.first) || row.first.about
                }}</bdi>
                <span class="text-ink-soft truncate"
                  ><bdi>{{ row.first.from }}</bdi
                  >: <bdi>{{ row.first.about }}</bdi></span
                >
              </span>
            </template>
            <template v-else-if="row.line.heap === 'ASKS_YOU'">
              <span class="flex min-w-0 gap-2 leading-5">
                <bdi class="max-w-2/3 shrink-0 truncate font-semibold">{{ row.line.from }}</bdi>
                <bdi class="text-ink-soft truncate text-sm" data-test="line-where">{{
                  where(row.line)
                }}</bdi>
              </span>
              <bdi class="block truncate leading-5">{{ row.line.about }}</bdi>
            </template>
            <span v-else class="grid grid-cols-[108px_1fr] gap-2">
              <bdi class="truncate font-semibold">{{ row.line.from }}</bdi>
              <span class="truncate">
                <bdi v-if="row.line.room && where(row.line)" class="text-ink-soft"
                  >{{ row.line.room }}:
                </bdi>
                <bdi>{{ row.line.about }}</bdi>
              </span>
            </span>
          </span>
          <span
            class="flex shrink-0 items-center justify-end pl-2 text-sm"
            :class="row.kind === 'line' && row.line.heap === 'ASKS_YOU' ? 'flex-col items-end' : ''"
          >
            <span
              v-if="row.kind === 'line' && row.line.replyDay"
              class="whitespace-nowrap"
              :class="[
                row.line.replyFirm && row.line.late
                  ? 'text-rust font-semibold'
                  : row.line.replyFirm
                    ? 'text-brass-ink font-semibold'
                    : 'text-brass-ink',
              ]"
              :title="`${row.line.late ? 'It was wanted' : 'It is wanted'} ${row.line.replyFirm ? 'by' : 'by about'} ${replyBy(row.line.replyDay, row.line.replyTime)}`"
              data-test="line-date"
              ><template v-if="row.line.late">late: </template
              ><span v-else class="sr-only">{{ row.line.replyFirm ? 'by' : 'by about' }}</span
              >{{ replyByShort(row.line.replyDay, row.line.replyTime) }}</span
            >
            <span
              class="text-ink-soft flex min-w-11 items-center justify-end gap-1"
              :title="`It has waited for ${workingSpanInWords(row.first.waitingWorkingMinutes)}`"
            >
              <Paperclip v-if="row.first.hasFiles" :size="13" aria-label="with files" />
              <span aria-hidden="true">{{ workingSpan(row.first.waitingWorkingMinutes) }}</span>
              <span class="sr-only"
                >waiting for {{ workingSpanInWords(row.first.waitingWorkingMinutes) }}</span
              >
            </span>
          </span>
        </div>
      </template>
      <template #end="{ group }">
        {{
          group.lines === 0
            ? group.empty
            : `The ${group.heap === 'ASKS_YOU' ? 'first' : 'newest'} ${group.lines} are shown; the others follow as you decide.`
        }}
      </template>
      <template #after>
        <details v-if="putOff.length" class="px-3 py-1.5" data-test="put-off-list">
          <summary class="hover:text-kelp text-ink-soft w-max cursor-pointer">
            Put off ({{ putOff.length }})
          </summary>
          <ul>
            <li v-for="line in putOff" :key="line.id">
              <button
                type="button"
                class="hover:bg-surface grid h-[30px] w-full grid-cols-[108px_1fr_auto] items-center gap-2 text-left max-md:h-11"
                :aria-current="line.id === current"
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
      </template>
    </RowList>
  </div>
</template>
