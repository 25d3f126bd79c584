<script setup lang="ts">
import type { CategoryView, PhraseView, RecipeStep } from '@/api/client'
import CategoryControl from '@/ui/CategoryControl.vue'
import EffortControl from '@/ui/EffortControl.vue'

/** What one step needs to know. */
const { categories, phrases } = defineProps<{
  categories: readonly CategoryView[]
  phrases: readonly PhraseView[]
}>()
const step = defineModel<RecipeStep>({ required: true })

function set(changed: Partial<RecipeStep>): void {
  step.value = { ...step.value, ...changed }
}

function text(event: Event): string {
  return (event.target as HTMLInputElement).value
}

function days(event: Event): number | null {
  const value = text(event)
  return value === '' ? null : Number(value)
}
</script>

<template>
  <div class="flex flex-wrap items-center gap-2">
    <template v-if="step.kind === 'FOLLOW_UP'">
      <input
        class="field basis-full"
        :value="step.title"
        maxlength="300"
        placeholder="the proposed title, or one of your own: File the slip of {name} about {subject}"
        aria-label="Title"
        data-test="step-title"
        @input="(event) => set({ title: text(event) })"
      />
      <label class="flex items-center gap-1.5"
        >in
        <input
          class="field w-16"
          type="number"
          min="0"
          max="250"
          :value="step.workingDays"
          aria-label="Working days"
          @input="(event) => set({ workingDays: days(event) })"
        />
        working days</label
      >
      <CategoryControl
        :model-value="step.categoryId"
        :categories="categories"
        @update:model-value="(categoryId) => set({ categoryId })"
      />
      <EffortControl
        :model-value="step.effortMinutes"
        @update:model-value="(effortMinutes) => set({ effortMinutes })"
      />
      <input
        class="field w-36"
        :value="step.place"
        maxlength="60"
        placeholder="anywhere"
        aria-label="Place"
        @input="(event) => set({ place: text(event) })"
      />
    </template>
    <template v-else-if="step.kind === 'ANSWER'">
      <select
        class="field w-auto"
        :value="step.phraseId ?? ''"
        aria-label="Phrase"
        data-test="step-phrase"
        @change="(event) => set({ phraseId: text(event) || null })"
      >
        <option value="">Choose a phrase</option>
        <option v-for="phrase in phrases" :key="phrase.id" :value="phrase.id">
          {{ phrase.name }}
        </option>
      </select>
      <span v-if="phrases.length === 0" class="text-ink-soft"
        >Phrases are written under Settings › Phrases.</span
      >
    </template>
    <template v-else-if="step.kind === 'HAND_OVER'">
      <input
        class="field w-72 max-w-full"
        type="email"
        :value="step.address"
        maxlength="320"
        placeholder="address of whoever takes it"
        aria-label="Address"
        @input="(event) => set({ address: text(event) })"
      />
      <input
        class="field min-w-48 flex-1"
        :value="step.note"
        maxlength="2000"
        placeholder="Could you take this over, please?"
        aria-label="What is said with it"
        @input="(event) => set({ note: text(event) })"
      />
    </template>
    <label v-else-if="step.kind === 'PUT_OFF'" class="flex items-center gap-1.5"
      >by
      <input
        class="field w-16"
        type="number"
        min="1"
        max="250"
        :value="step.workingDays"
        aria-label="Working days"
        @input="(event) => set({ workingDays: days(event) })"
      />
      working days</label
    >
    <input
      v-else-if="step.kind === 'MOVE'"
      class="field w-60"
      :value="step.folder"
      maxlength="300"
      placeholder="name of the folder"
      aria-label="Folder"
      @input="(event) => set({ folder: text(event) })"
    />
  </div>
</template>
