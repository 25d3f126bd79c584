<script setup lang="ts">
import { computed } from 'vue'
import type { ChaseException } from '@/api/client'
import { useCategories, useWriters } from '@/api/queries'

/** For some people, houses and categories other numbers of days. */
const all = defineModel<ChaseException[]>({ required: true })
const emit = defineEmits<{ changed: [] }>()
const categories = useCategories()
const writers = useWriters()
const offered = computed(() => (categories.data.value ?? []).filter((each) => !each.retired))
const NUMBERS = [
  { field: 'first', before: 'after', from: 1 },
  { field: 'then', before: 'then after', from: 1 },
  { field: 'afterPromise', before: 'after a promise', from: 0 },
] as const

function add(): void {
  all.value = [...all.value, { kind: 'PARTY', whom: '', first: 3, then: 2, afterPromise: 1 }]
  emit('changed')
}

function remove(at: number): void {
  all.value = all.value.filter((_, i) => i !== at)
  emit('changed')
}
</script>

<template>
  <h3 class="pt-2 font-semibold">Other days</h3>
  <p class="text-ink-soft max-w-prose">
    For somebody by their address, for everybody of a house by <code>@house.example</code>, or for a
    category. What is chosen for somebody comes before their house, and that before the category.
  </p>
  <div
    v-for="(each, at) in all"
    :key="at"
    class="flex flex-wrap items-center gap-2"
    data-test="other-days"
  >
    <select
      v-model="each.kind"
      class="field h-8 w-auto max-sm:h-11"
      aria-label="For whom"
      data-test="other-kind"
      @change="each.whom = ''"
    >
      <option value="PARTY">Somebody</option>
      <option value="CATEGORY">A category</option>
    </select>
    <input
      v-if="each.kind === 'PARTY'"
      v-model="each.whom"
      class="field h-8 w-52 max-sm:h-11"
      maxlength="320"
      required
      list="other-days-writers"
      placeholder="name@house.example or @house.example"
      pattern=".*@.+"
      title="An address, or @ and a house"
      aria-label="Address"
      data-test="other-whom"
    />
    <select
      v-else
      v-model="each.whom"
      class="field h-8 w-52 max-sm:h-11"
      required
      aria-label="Category"
      data-test="other-category"
    >
      <option v-for="category in offered" :key="category.id" :value="category.id">
        {{ category.name }}
      </option>
    </select>
    <label v-for="number in NUMBERS" :key="number.field" class="flex items-center gap-1">
      <span class="text-ink-soft">{{ number.before }}</span>
      <input
        v-model.number="each[number.field]"
        class="field h-8 w-14 max-sm:h-11"
        type="number"
        :min="number.from"
        max="60"
        required
        :data-test="`other-${number.field}`"
      />
    </label>
    <button class="btn btn-quiet h-8 max-sm:h-11" type="button" @click="remove(at)">Remove</button>
  </div>
  <datalist id="other-days-writers">
    <option
      v-for="writer in writers.data.value ?? []"
      :key="writer.address"
      :value="writer.address"
    >
      {{ writer.name }}
    </option>
  </datalist>
  <button
    class="btn h-8 max-sm:h-11"
    type="button"
    data-test="add-other-days"
    :disabled="all.length >= 200"
    @click="add"
  >
    Add other days
  </button>
</template>
