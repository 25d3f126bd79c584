<script setup lang="ts">
import type { CategoryView, Person, QuickChoice } from '@/api/client'
import { accepted, corrected, type CaptureRow } from '@/capture/capture'
import PeoplePart from '@/followups/details/PeoplePart.vue'
import RepeatPart from '@/followups/details/RepeatPart.vue'
import PlacePart from '@/followups/details/PlacePart.vue'
import CategoryControl from '@/ui/CategoryControl.vue'
import EffortControl from '@/ui/EffortControl.vue'
import ReplyByControl from '@/ui/ReplyByControl.vue'

/** What was understood of one line, part by part, to be corrected. */
const { choices, categories, people, places, several } = defineProps<{
  choices: readonly QuickChoice[]
  categories: readonly CategoryView[]
  people: readonly Person[]
  places: readonly string[]
  /** Whether it is one of several, each of which can be left out. */
  several: boolean
}>()
const row = defineModel<CaptureRow>({ required: true })

function set(changed: Parameters<typeof corrected>[1]): void {
  row.value = corrected(row.value, changed)
}
</script>

<template>
  <div class="flex gap-2" :class="row.wanted ? '' : 'opacity-60'" data-test="captured">
    <input
      v-if="several"
      type="checkbox"
      class="mt-2 shrink-0"
      :checked="row.wanted"
      :aria-label="`Make: ${row.title}`"
      @change="row = { ...row, wanted: !row.wanted }"
    />
    <div class="min-w-0 flex-1">
      <input
        class="field font-semibold"
        :value="row.title"
        maxlength="300"
        aria-label="What is to be done"
        data-test="captured-title"
        @input="(event) => set({ title: (event.target as HTMLInputElement).value })"
      />
      <div class="mt-1.5 flex flex-wrap items-center gap-1.5">
        <ReplyByControl
          :day="row.replyDay"
          :time="row.replyTime"
          :firm="row.firm"
          :choices="choices"
          brief
          @update:day="(replyDay) => set({ replyDay })"
          @update:time="(replyTime) => set({ replyTime })"
          @update:firm="(firm) => set({ firm })"
        />
        <CategoryControl
          :model-value="row.categoryId"
          :categories="categories"
          @update:model-value="(categoryId) => set({ categoryId })"
        />
        <EffortControl
          :model-value="row.effortMinutes"
          @update:model-value="(effortMinutes) => set({ effortMinutes })"
        />
        <PeoplePart
          :model-value="row.people"
          :known="people"
          @update:model-value="(now) => set({ people: now })"
        />
        <PlacePart
          :model-value="row.place"
          :known="places"
          @update:model-value="(place) => set({ place })"
        />
        <RepeatPart
          :model-value="row.repeats"
          @update:model-value="(repeats) => set({ repeats })"
        />
        <button
          v-for="offer in row.offers"
          :key="offer.kind + offer.name"
          class="part border-dashed"
          type="button"
          :title="`Take “${offer.words}” out of the title`"
          data-test="capture-offer"
          @click="row = accepted(row, offer)"
        >
          {{ offer.kind === 'PLACE' ? 'at' : 'with' }} {{ offer.name }}?
        </button>
        <span v-if="row.steps.length" class="text-ink-soft" :title="row.steps.join('\n')"
          >{{ row.steps.length }} {{ row.steps.length === 1 ? 'step' : 'steps' }}</span
        >
        <span v-if="row.why" class="text-ink-soft text-sm">{{ row.why }}</span>
      </div>
    </div>
  </div>
</template>
