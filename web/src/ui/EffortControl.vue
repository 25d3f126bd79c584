<script setup lang="ts">
import { Listbox, ListboxButton, ListboxOption, ListboxOptions } from '@headlessui/vue'
import { effortText } from '@/ui/effort'

const { above, letter } = defineProps<{ above?: boolean; letter?: string }>()
const chosen = defineModel<number | null>({ required: true })
const OFFERED = [5, 10, 15, 30, 45, 60, 90, 120, 240, 480]
</script>

<template>
  <Listbox v-model="chosen" as="div" class="relative inline-block">
    <ListboxButton class="part" data-test="effort" :data-letter="letter">
      <span class="sr-only">Effort</span> {{ effortText(chosen) }}
      <span v-if="letter" class="key">{{ letter.toUpperCase() }}</span>
    </ListboxButton>
    <ListboxOptions
      class="floating absolute left-0 z-30 max-h-72 w-36 overflow-auto p-1"
      :class="above ? 'bottom-full mb-1' : 'top-full mt-1'"
    >
      <ListboxOption
        v-for="minutes in [...OFFERED, null]"
        :key="minutes ?? 0"
        v-slot="{ active, selected }"
        :value="minutes"
        as="template"
      >
        <li
          class="flex h-7 cursor-pointer items-center rounded px-2"
          :class="[active ? 'bg-kelp-wash' : '', selected ? 'font-semibold' : '']"
        >
          {{ effortText(minutes) }}
        </li>
      </ListboxOption>
    </ListboxOptions>
  </Listbox>
</template>
