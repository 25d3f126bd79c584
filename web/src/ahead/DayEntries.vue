<script setup lang="ts">
import { VueDraggable } from 'vue-draggable-plus'
import type { CategoryView } from '@/api/client'
import type { Entry } from '@/ahead/days'
import CategoryMark from '@/ui/CategoryMark.vue'
import { effortText } from '@/ui/effort'
import { dragBegan, dragEnded } from '@/ui/heldWhileDragging'
import { day as dayText } from '@/ui/time'

/** What stands on a day or on the shelf; it can be dragged to another one. */
const { categories, current, picked } = defineProps<{
  categories: readonly CategoryView[]
  current: string | undefined
  picked: ReadonlySet<string>
}>()
const emit = defineEmits<{ dropped: [id: string]; open: [id: string] }>()
const entries = defineModel<Entry[]>({ required: true })

const categoryOf = (id: string | null) => categories.find((each) => each.id === id)

function added(event: { item: HTMLElement }): void {
  const id = event.item.dataset.entry
  if (id !== undefined) {
    emit('dropped', id)
  }
}
</script>

<template>
  <VueDraggable
    v-model="entries"
    group="days"
    :animation="120"
    :force-fallback="true"
    :fallback-tolerance="4"
    :delay="150"
    :delay-on-touch-only="true"
    :sort="false"
    @add="added"
    @start="dragBegan"
    @end="dragEnded"
  >
    <button
      v-for="each in entries"
      :key="each.line.id"
      type="button"
      class="hover:bg-surface flex min-h-6 w-full items-start gap-1.5 rounded px-0.5 py-0.5 text-left max-sm:min-h-11 max-sm:items-center"
      :class="[
        each.line.id === current ? 'bg-kelp-wash' : '',
        picked.has(each.line.id) ? 'outline-kelp outline-2' : '',
      ]"
      :aria-current="each.line.id === current ? 'true' : undefined"
      :title="`${each.line.title}${each.minutes === undefined ? '' : `, ${effortText(each.minutes)}`}`"
      :data-entry="each.line.id"
      data-test="ahead-entry"
      @click="emit('open', each.line.id)"
    >
      <span class="shrink-0"><CategoryMark :category="categoryOf(each.line.categoryId)" /></span>
      <span class="min-w-0 text-sm wrap-anywhere">
        <span class="line-clamp-3">{{ each.line.title }}</span>
        <span
          v-if="each.due"
          class="font-semibold"
          :class="each.line.standing === 'LATE_FIRM' ? 'text-rust' : 'text-brass-ink'"
          >{{ each.line.firm ? 'firm' : 'due' }}</span
        >
        <span v-else-if="each.planned && each.line.replyDay" class="text-ink-soft"
          >due {{ dayText(each.line.replyDay) }}</span
        >
      </span>
    </button>
  </VueDraggable>
</template>
