<script setup lang="ts">
import { ref } from 'vue'
import type { CategoryView, Person, QuickChoice } from '@/api/client'
import type { BulkChoice } from '@/intake/usePicking'
import CategoryMark from '@/ui/CategoryMark.vue'
import { day as dayText } from '@/ui/time'

/** Days, categories and people that show up while messages are dragged; with the keyboard, the same lies under F and H. */
const { count, categories, choices, people } = defineProps<{
  count: number
  categories: readonly CategoryView[]
  choices: readonly QuickChoice[]
  /** Those to whom something can be handed over. */
  people: readonly Person[]
}>()
const HAND_OVER_WORDS = 'Could you take this over, please?'

const emit = defineEmits<{ drop: [choice: BulkChoice] }>()
const over = ref('')

function classes(name: string): string {
  return over.value === name ? 'border-kelp bg-kelp-wash' : 'border-line-strong bg-surface'
}

function drop(choice: BulkChoice): void {
  over.value = ''
  emit('drop', choice)
}
</script>

<template>
  <div
    class="bg-paper absolute inset-0 z-20 overflow-auto p-6"
    data-test="drop-targets"
    @dragover.prevent
  >
    <p class="mb-4 text-lg font-semibold">
      {{ count === 1 ? 'One follow-up' : `${count} follow-ups` }}: let go on a day, a category or a
      person
    </p>
    <div class="mb-6 grid grid-cols-3 gap-3">
      <div
        v-for="choice in choices"
        :key="choice.day"
        class="rounded border px-4 py-3"
        :class="classes(choice.day)"
        data-test="drop-day"
        @dragenter.prevent="over = choice.day"
        @dragover.prevent
        @drop.prevent="drop({ decision: 'FOLLOW_UP', day: choice.day, categoryId: null })"
      >
        <b class="block">{{ dayText(choice.day) }}</b>
        <span class="text-ink-soft">{{ choice.label }}</span>
      </div>
    </div>
    <div class="grid grid-cols-3 gap-3">
      <div
        v-for="category in categories.filter((each) => !each.retired)"
        :key="category.id"
        class="flex h-11 items-center rounded border px-4"
        :class="classes(category.id)"
        data-test="drop-category"
        @dragenter.prevent="over = category.id"
        @dragover.prevent
        @drop.prevent="drop({ decision: 'FOLLOW_UP', day: null, categoryId: category.id })"
      >
        <CategoryMark :category="category" with-name />
      </div>
      <div
        class="flex h-11 items-center rounded border px-4"
        :class="classes('nothing')"
        @dragenter.prevent="over = 'nothing'"
        @dragover.prevent
        @drop.prevent="drop({ decision: 'NOTHING', day: null, categoryId: null })"
      >
        Nothing to do
      </div>
    </div>
    <template v-if="people.length">
      <p class="mt-5 mb-2">or hand {{ count === 1 ? 'it' : 'them' }} over to</p>
      <div class="grid grid-cols-3 gap-3">
        <div
          v-for="person in people"
          :key="person.address"
          class="flex h-11 items-center truncate rounded border px-4"
          :class="classes(person.address)"
          data-test="drop-person"
          @dragenter.prevent="over = person.address"
          @dragover.prevent
          @drop.prevent="
            drop({
              decision: 'HAND_OVER',
              day: null,
              categoryId: null,
              handOver: { ...person, text: HAND_OVER_WORDS },
            })
          "
        >
          {{ person.name || person.address }}
        </div>
      </div>
    </template>
  </div>
</template>
