<script setup lang="ts">
import { Listbox, ListboxButton, ListboxOption, ListboxOptions } from '@headlessui/vue'
import { computed } from 'vue'
import type { CategoryView } from '@/api/client'
import CategoryMark from '@/ui/CategoryMark.vue'

const { categories, above, letter } = defineProps<{
  categories: readonly CategoryView[]
  above?: boolean
  letter?: string
}>()
const chosen = defineModel<string | null>({ required: true })
const current = computed(() => categories.find((category) => category.id === chosen.value))
const offered = computed(() =>
  categories.filter((category) => !category.retired || category.id === chosen.value),
)

/** The key of a category chooses it while the control has the focus. */
function onKey(event: KeyboardEvent): boolean {
  const byKey = offered.value.find((category) => category.letter === event.key.toLowerCase())
  if (byKey && !event.ctrlKey && !event.metaKey && !event.altKey) {
    event.preventDefault()
    event.stopPropagation()
    chosen.value = byKey.id
    return true
  }
  return false
}

/** In the open list a key chooses and closes. */
function onListKey(event: KeyboardEvent): void {
  const list = event.currentTarget
  if (onKey(event) && list) {
    list.dispatchEvent(new KeyboardEvent('keydown', { key: 'Escape', bubbles: true }))
  }
}
</script>

<template>
  <Listbox v-model="chosen" as="div" class="relative inline-block">
    <ListboxButton class="part" data-test="category" :data-letter="letter" @keydown="onKey">
      <span class="sr-only">Category</span>
      <CategoryMark :category="current" with-name />
      <span v-if="letter" class="key">{{ letter.toUpperCase() }}</span>
    </ListboxButton>
    <ListboxOptions
      class="floating absolute left-0 z-30 max-h-80 w-56 overflow-auto p-1"
      :class="above ? 'bottom-full mb-1' : 'top-full mt-1'"
      @keydown.capture="onListKey"
    >
      <ListboxOption
        v-for="category in offered"
        :key="category.id"
        v-slot="{ active, selected }"
        :value="category.id"
        as="template"
      >
        <li
          class="flex h-8 cursor-pointer items-center justify-between rounded px-2"
          :class="active ? 'bg-kelp-wash' : ''"
        >
          <CategoryMark :category="category" with-name :class="selected ? 'font-semibold' : ''" />
          <span v-if="category.letter" class="key">{{ category.letter.toUpperCase() }}</span>
        </li>
      </ListboxOption>
      <ListboxOption v-slot="{ active }" :value="null" as="template">
        <li
          class="text-ink-soft flex h-8 cursor-pointer items-center rounded px-2"
          :class="active ? 'bg-kelp-wash' : ''"
        >
          no category
        </li>
      </ListboxOption>
    </ListboxOptions>
  </Listbox>
</template>
