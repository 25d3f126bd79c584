<script setup lang="ts">
import type { CategoryView, LineToTakeIn } from '@/api/client'
import CategoryMark from '@/ui/CategoryMark.vue'
import { effortText } from '@/ui/effort'
import { replyByShort } from '@/ui/time'

/** What a line of a file would become, or why it cannot. */
const { line, category, fresh, current, taken } = defineProps<{
  line: LineToTakeIn
  category: CategoryView | undefined
  /** The name of a category that is to be made for it. */
  fresh?: string | undefined
  current: boolean
  taken: boolean
}>()
const emit = defineEmits<{ toggle: [] }>()
</script>

<template>
  <div
    class="border-line flex h-full cursor-pointer items-start gap-2.5 border-b px-2.5 pt-1.5"
    :class="current ? 'bg-kelp-wash shadow-[inset_3px_0_0_var(--kelp)]' : 'hover:bg-surface'"
    data-test="line"
    :data-taken="taken"
  >
    <input
      type="checkbox"
      class="mt-1 size-4 shrink-0"
      tabindex="-1"
      :checked="taken"
      :disabled="!line.usable"
      :aria-label="`Take in ${line.title}`"
      @click.stop="emit('toggle')"
    />
    <span class="text-ink-soft w-9 shrink-0 text-right tabular-nums">{{ line.line }}</span>
    <span class="min-w-0 flex-1">
      <span class="flex items-baseline gap-3">
        <CategoryMark v-if="category" :category="category" />
        <span v-else-if="fresh" class="text-ink-soft max-w-28 shrink-0 truncate">{{ fresh }}</span>
        <span class="min-w-0 flex-1 truncate" :class="taken ? '' : 'text-ink-soft'">{{
          line.title || 'No title'
        }}</span>
        <span v-if="line.priority === 'HIGH'" class="text-brass-ink shrink-0 text-sm">high</span>
        <bdi v-if="line.people.length > 0" class="text-ink-soft max-w-36 truncate max-sm:hidden">{{
          line.people.map((person) => person.name || person.address).join(', ')
        }}</bdi>
        <span v-if="line.effortMinutes" class="text-ink-soft shrink-0 max-sm:hidden">{{
          effortText(line.effortMinutes)
        }}</span>
        <span v-if="line.steps > 0" class="text-ink-soft shrink-0 max-sm:hidden"
          >{{ line.steps }} {{ line.steps === 1 ? 'step' : 'steps' }}</span
        >
        <span class="w-28 shrink-0 text-right tabular-nums">{{
          line.replyDay ? replyByShort(line.replyDay, line.replyTime) : ''
        }}</span>
      </span>
      <span v-if="line.problems.length > 0" class="text-rust block truncate text-sm"
        >Cannot be taken in. {{ line.problems.join(' ') }}</span
      >
      <span
        v-else-if="line.remarks.length > 0 || line.repeats"
        class="text-ink-soft block truncate text-sm"
        >{{
          [...(line.repeats ? [`Comes back ${line.repeats}.`] : []), ...line.remarks].join(' ')
        }}</span
      >
    </span>
  </div>
</template>
