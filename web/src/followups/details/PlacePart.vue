<script setup lang="ts">
import { Popover, PopoverButton, PopoverPanel } from '@headlessui/vue'
import { ref, watch } from 'vue'
import { vFocus } from '@/ui/focus'

/** Where it can be done: one of the places that were named before, or another one. */
const { known, above, letter } = defineProps<{
  known: readonly string[]
  above?: boolean
  letter?: string
}>()
const place = defineModel<string>({ required: true })
const typed = ref(place.value)
watch(place, (now) => (typed.value = now))

function take(value: string, close: () => void): void {
  place.value = value.trim()
  close()
}
</script>

<template>
  <Popover class="relative inline-block">
    <PopoverButton class="part" data-test="place" :data-letter="letter">
      {{ place === '' ? 'anywhere' : `at ${place}` }}
      <span v-if="letter" class="key">{{ letter.toUpperCase() }}</span>
    </PopoverButton>
    <PopoverPanel
      v-slot="{ close }"
      class="floating absolute left-0 z-30 w-60 p-3"
      :class="above ? 'bottom-full mb-1' : 'top-full mt-1'"
      data-keys="own"
    >
      <label>
        <span class="text-ink-soft">Where it can be done</span>
        <input
          v-model="typed"
          v-focus
          class="field mt-1"
          maxlength="60"
          placeholder="slipway, phone, council"
          data-test="place-typed"
          @keydown.enter.prevent.stop="take(typed, close)"
        />
      </label>
      <button
        v-for="one in known"
        :key="one"
        type="button"
        class="hover:bg-kelp-wash block h-8 w-full truncate rounded px-2 text-left"
        @click="take(one, close)"
      >
        {{ one }}
      </button>
      <button
        type="button"
        class="hover:bg-kelp-wash h-8 w-full rounded px-2 text-left"
        @click="take('', close)"
      >
        anywhere
      </button>
    </PopoverPanel>
  </Popover>
</template>
