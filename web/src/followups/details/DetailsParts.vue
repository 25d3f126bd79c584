<script setup lang="ts">
import { computed, nextTick, ref, useTemplateRef } from 'vue'
import type { Details, Person, QuickChoice } from '@/api/client'
import { useFollowUps } from '@/api/followUpQueries'
import ChecklistEditor from '@/followups/details/ChecklistEditor.vue'
import { peopleOf, placesOf } from '@/followups/details/people'
import PeoplePart from '@/followups/details/PeoplePart.vue'
import PlacePart from '@/followups/details/PlacePart.vue'
import NoteField from '@/ui/NoteField.vue'
import StartControl from '@/ui/StartControl.vue'

/** What lies behind the sentence: from when, with whom, where, the steps, a note. */
const {
  choices,
  people = [],
  above,
  letters,
} = defineProps<{
  choices: readonly QuickChoice[]
  /** Those who are near at hand. */
  people?: readonly Person[]
  above?: boolean
  /** Whether each part shows the letter that leads to it. */
  letters?: boolean
}>()
const details = defineModel<Details>({ required: true })

const followUps = useFollowUps()
const lines = computed(() => [
  ...(followUps.data.value?.open ?? []),
  ...(followUps.data.value?.later ?? []),
])
const known = computed(() => [...people, ...peopleOf(lines.value)])
const places = computed(() => placesOf(lines.value).slice(0, 6))
const listOpen = ref(details.value.checklist.length > 0)
const noteOpen = ref(details.value.note !== '')
const root = useTemplateRef<HTMLElement>('root')

function set(changed: Partial<Details>): void {
  details.value = { ...details.value, ...changed }
}

async function openList(): Promise<void> {
  listOpen.value = true
  if (details.value.checklist.length === 0) {
    set({ checklist: [{ text: '', done: false }] })
  }
  await nextTick()
  root.value?.querySelector<HTMLElement>('[data-test=checklist] input[type=text]')?.focus()
}

async function openNote(): Promise<void> {
  noteOpen.value = true
  await nextTick()
  root.value?.querySelector<HTMLElement>('[data-test=note]')?.focus()
}
</script>

<template>
  <div ref="root" class="space-y-2">
    <div class="flex flex-wrap items-center gap-x-1.5 gap-y-2">
      <slot />
      <StartControl
        :model-value="details.startDay"
        :choices="choices"
        :letter="letters ? 's' : undefined"
        @update:model-value="(startDay) => set({ startDay })"
      />
      <PeoplePart
        :model-value="details.people"
        :known="known"
        :above="above"
        :letter="letters ? 'w' : undefined"
        @update:model-value="(now) => set({ people: now })"
      />
      <PlacePart
        :model-value="details.place"
        :known="places"
        :above="above"
        :letter="letters ? 'p' : undefined"
        @update:model-value="(place) => set({ place })"
      />
      <button
        v-if="!listOpen"
        type="button"
        class="part"
        data-test="open-checklist"
        :data-letter="letters ? 'l' : undefined"
        @click="void openList()"
      >
        checklist
        <span v-if="letters" class="key">L</span>
      </button>
      <button
        v-if="!noteOpen"
        type="button"
        class="part"
        data-test="open-note"
        :data-letter="letters ? 'o' : undefined"
        @click="void openNote()"
      >
        note
        <span v-if="letters" class="key">O</span>
      </button>
    </div>
    <ChecklistEditor
      v-if="listOpen"
      :steps="details.checklist"
      class="max-h-48 max-w-xl overflow-auto"
      @change="(checklist) => set({ checklist })"
    />
    <NoteField
      v-if="noteOpen"
      label="Note"
      placeholder="A note, for you alone"
      :model-value="details.note"
      @update:model-value="(note) => set({ note })"
    />
  </div>
</template>
