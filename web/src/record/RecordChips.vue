<script setup lang="ts">
import { useCategories } from '@/api/queries'
import type { RecordWish } from '@/record/query'
import CategoryMark from '@/ui/CategoryMark.vue'
import Chip from '@/ui/Chip.vue'
import DaySpan from '@/ui/DaySpan.vue'

/** What of the record is wanted. */
const { wish } = defineProps<{
  wish: RecordWish
  /** Who is chosen, by name. */
  person: string
}>()
const emit = defineEmits<{ set: [changed: Partial<RecordWish>] }>()

const categories = useCategories()

const STATES = [
  { value: 'DONE', text: 'done' },
  { value: 'DROPPED', text: 'dropped' },
] as const
const KINDS = [{ value: 'THREAD', text: 'threads' }] as const
const TIMES = [
  { value: true, text: 'in time' },
  { value: false, text: 'late' },
] as const
</script>

<template>
  <span
    class="order-last flex w-full flex-wrap items-center gap-1.5 print:hidden"
    data-test="record-chips"
  >
    <Chip
      v-for="each in KINDS"
      :key="each.value"
      :on="wish.kind === each.value"
      :data-test="`record-${each.value}`"
      @click="emit('set', { kind: wish.kind === each.value ? null : each.value })"
    >
      {{ each.text }}
    </Chip>
    <Chip
      v-for="each in STATES"
      :key="each.value"
      :on="wish.state === each.value"
      @click="emit('set', { state: wish.state === each.value ? null : each.value })"
    >
      {{ each.text }}
    </Chip>
    <Chip
      v-for="each in TIMES"
      :key="each.text"
      :on="wish.onTime === each.value"
      :data-test="each.value ? 'record-in-time' : 'record-late'"
      @click="emit('set', { onTime: wish.onTime === each.value ? null : each.value })"
    >
      {{ each.text }}
    </Chip>
    <Chip
      v-for="category in categories.data.value ?? []"
      :key="category.id"
      :on="wish.category === category.id"
      :title="category.name"
      @click="emit('set', { category: wish.category === category.id ? null : category.id })"
    >
      <CategoryMark :category="category" />
      <span :class="wish.category === category.id ? '' : 'sr-only'">{{ category.name }}</span>
    </Chip>
    <Chip v-if="wish.person !== null" on crossed @click="emit('set', { person: null })">
      <bdi class="truncate">{{ person }}</bdi>
    </Chip>
    <DaySpan
      test="record"
      :from="wish.from"
      :to="wish.to"
      @from="(from) => emit('set', { from })"
      @to="(to) => emit('set', { to })"
    />
    <RouterLink
      class="text-ink-soft hover:text-kelp text-sm underline max-sm:py-3"
      :to="{ name: 'find', query: { standing: 'ENDED' } }"
      >by words</RouterLink
    >
  </span>
</template>
