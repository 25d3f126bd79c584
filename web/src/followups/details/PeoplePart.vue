<script setup lang="ts">
import { Popover, PopoverButton, PopoverPanel } from '@headlessui/vue'
import { computed, ref } from 'vue'
import type { Person } from '@/api/client'
import { personFrom, suggested } from '@/followups/details/people'
import { vFocus } from '@/ui/focus'
import RemoveButton from '@/ui/RemoveButton.vue'

/** Whom a follow-up concerns. */
const { known, above, letter } = defineProps<{
  known: readonly Person[]
  above?: boolean
  letter?: string
}>()
const people = defineModel<Person[]>({ required: true })
const typed = ref('')
const offered = computed(() => suggested(known, people.value, typed.value))
const shown = computed(() => {
  const names = people.value.map((each) => (each.name || each.address).split(' ')[0] ?? '')
  return names.length === 0
    ? 'nobody'
    : names.slice(0, 2).join(', ') + (names.length > 2 ? ` and ${names.length - 2} more` : '')
})

function add(person: Person): void {
  people.value = [...people.value, person]
  typed.value = ''
}

function takeTyped(close: () => void): void {
  const person = offered.value[0] ?? personFrom(typed.value)
  if (typed.value.trim() !== '' && person) {
    add(person)
  } else {
    close()
  }
}
</script>

<template>
  <Popover class="relative inline-block">
    <PopoverButton
      class="part"
      data-test="people"
      :data-letter="letter"
      :title="people.map((each) => each.name || each.address).join(', ')"
    >
      <span class="sr-only">People:</span> with {{ shown }}
      <span v-if="letter" class="key">{{ letter.toUpperCase() }}</span>
    </PopoverButton>
    <PopoverPanel
      v-slot="{ close }"
      class="floating absolute left-0 z-30 w-72 max-w-[calc(100vw-24px)] p-3"
      :class="above ? 'bottom-full mb-1' : 'top-full mt-1'"
      data-keys="own"
    >
      <ul>
        <li
          v-for="person in people"
          :key="person.address || person.name"
          class="flex h-8 items-center justify-between gap-2"
        >
          <span class="truncate" :title="person.address">{{ person.name || person.address }}</span>
          <RemoveButton
            :label="`Remove ${person.name || person.address}`"
            @press="people = people.filter((each) => each !== person)"
          />
        </li>
      </ul>
      <input
        v-model="typed"
        v-focus
        class="field"
        maxlength="200"
        placeholder="A name or an address"
        aria-label="Add somebody"
        data-test="person-typed"
        @keydown.enter.prevent.stop="takeTyped(close)"
      />
      <button
        v-for="person in offered"
        :key="person.address || person.name"
        type="button"
        class="hover:bg-kelp-wash block h-8 w-full truncate rounded px-2 text-left"
        @click="add(person)"
      >
        {{ person.name || person.address }}
        <span v-if="person.name" class="text-ink-soft">{{ person.address }}</span>
      </button>
    </PopoverPanel>
  </Popover>
</template>
