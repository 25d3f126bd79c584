<script setup lang="ts">
import { computed } from 'vue'
import type { RecipeConditions } from '@/api/client'
import { useIntake } from '@/api/queries'
import { NATURE_NAMES } from '@/settings/recipes'

/** On which messages a recipe runs; whatever is filled in has to hold. */
const intake = useIntake()
const rooms = computed(() => {
  const known = new Map<string, string>()
  for (const line of intake.data.value?.lines ?? []) {
    if (line.roomId) {
      known.set(line.roomId, line.room ?? line.from)
    }
  }
  if (conditions.value.room !== '' && !known.has(conditions.value.room)) {
    known.set(conditions.value.room, conditions.value.room)
  }
  return [...known]
})
const conditions = defineModel<RecipeConditions>({ required: true })

function set(changed: Partial<RecipeConditions>): void {
  conditions.value = { ...conditions.value, ...changed }
}

function text(event: Event): string {
  return (event.target as HTMLInputElement).value
}

const YES_NO = { '': null, yes: true, no: false } as const
function yesNo(event: Event): boolean | null {
  return YES_NO[text(event) as keyof typeof YES_NO]
}
function shown(value: boolean | null): string {
  return value === null ? '' : value ? 'yes' : 'no'
}
const TEXTS = [
  { name: 'sender', label: 'Writer', hint: 'part of the name or address', most: 200 },
  { name: 'domain', label: 'Domain', hint: 'harbour.example', most: 200 },
  { name: 'list', label: 'Mailing list', hint: 'its address', most: 320 },
] as const
</script>

<template>
  <div class="grid gap-x-4 gap-y-2 sm:grid-cols-2" data-test="conditions">
    <label
      v-for="each in TEXTS"
      :key="each.name"
      class="grid grid-cols-[92px_1fr] items-center gap-2"
      >{{ each.label }}
      <input
        class="field"
        :value="conditions[each.name]"
        :maxlength="each.most"
        :placeholder="each.hint"
        :data-test="`condition-${each.name}`"
        @input="(event) => set({ [each.name]: text(event) })"
    /></label>
    <label class="grid grid-cols-[92px_1fr] items-center gap-2"
      >Room
      <select
        class="field"
        :value="conditions.room"
        @change="(event) => set({ room: text(event) })"
      >
        <option value="">any, or none</option>
        <option v-for="[id, name] in rooms" :key="id" :value="id">{{ name }}</option>
      </select></label
    >
    <label class="grid grid-cols-[92px_1fr] items-center gap-2 sm:col-span-2"
      >Words
      <input
        class="field"
        :value="conditions.words.join(', ')"
        maxlength="1000"
        placeholder="one of these, in the subject or the text: mooring, berth fee"
        data-test="condition-words"
        @change="
          (event) =>
            set({
              words: text(event)
                .split(',')
                .map((word) => word.trim())
                .filter(Boolean),
            })
        "
    /></label>
    <label class="grid grid-cols-[92px_1fr] items-center gap-2"
      >Kind
      <select
        class="field"
        :value="conditions.nature ?? ''"
        @change="(event) => set({ nature: (text(event) || null) as RecipeConditions['nature'] })"
      >
        <option value="">any</option>
        <option v-for="[value, name] in NATURE_NAMES" :key="value" :value="value">
          {{ name }}
        </option>
      </select></label
    >
    <label class="grid grid-cols-[92px_1fr] items-center gap-2"
      >I am in
      <select
        class="field"
        :value="conditions.addressed ?? ''"
        @change="
          (event) => set({ addressed: (text(event) || null) as RecipeConditions['addressed'] })
        "
      >
        <option value="">any place</option>
        <option value="TO">To</option>
        <option value="CC">Cc</option>
      </select></label
    >
    <label class="grid grid-cols-[92px_1fr] items-center gap-2"
      >With files
      <select
        class="field"
        :value="shown(conditions.files)"
        @change="(event) => set({ files: yesNo(event) })"
      >
        <option value="">either</option>
        <option value="yes">yes</option>
        <option value="no">no</option>
      </select></label
    >
    <label class="grid grid-cols-[92px_1fr] items-center gap-2"
      >Asks me
      <select
        class="field"
        :value="shown(conditions.asksMe)"
        @change="(event) => set({ asksMe: yesNo(event) })"
      >
        <option value="">either</option>
        <option value="yes">yes</option>
        <option value="no">no</option>
      </select></label
    >
  </div>
</template>
