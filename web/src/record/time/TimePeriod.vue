<script setup lang="ts">
import { computed } from 'vue'
import { useCategories } from '@/api/queries'
import { BY, spans, type TimeWish } from '@/record/time/query'
import Chip from '@/ui/Chip.vue'
import DaySpan from '@/ui/DaySpan.vue'
import { today } from '@/ui/time'

/** Which days are wanted, what stands together, and of what only. */
const { wish } = defineProps<{ wish: TimeWish }>()
const emit = defineEmits<{ set: [changed: Partial<TimeWish>] }>()

const categories = useCategories()
const category = computed(() => categories.data.value?.find((each) => each.id === wish.category))

function group(event: Event): void {
  const chosen = (event.target as HTMLSelectElement).value
  const by = BY.find((each) => each.by === chosen)?.by
  if (by) {
    emit('set', { by })
  }
}
</script>

<template>
  <span class="flex flex-wrap items-center gap-1.5 print:hidden">
    <Chip
      v-for="span in spans()"
      :key="span.text"
      :on="wish.from === span.from && wish.to === span.to"
      @click="emit('set', { from: span.from, to: span.to })"
    >
      {{ span.text }}
    </Chip>
    <DaySpan
      test="time"
      :from="wish.from"
      :to="wish.to"
      @from="(from) => emit('set', { from: from ?? today() })"
      @to="(to) => emit('set', { to: to ?? today() })"
    />
    <select
      class="field h-8 w-auto max-sm:h-11"
      aria-label="What stands together"
      data-test="time-by"
      :value="wish.by"
      @change="group"
    >
      <option v-for="each in BY" :key="each.by" :value="each.by">{{ each.text }}</option>
    </select>
    <Chip
      v-if="wish.category"
      on
      crossed
      data-test="time-category"
      @click="emit('set', { category: undefined })"
    >
      <span class="truncate">{{ category?.name ?? 'one category' }}</span>
    </Chip>
    <Chip
      v-if="wish.person"
      on
      crossed
      data-test="time-person"
      @click="emit('set', { person: undefined })"
    >
      <bdi class="truncate">{{ wish.person }}</bdi>
    </Chip>
  </span>
</template>
