<script setup lang="ts">
import { Popover, PopoverButton, PopoverPanel } from '@headlessui/vue'
import { Repeat } from '@lucide/vue'
import RhythmChooser from '@/followups/details/RhythmChooser.vue'

/** Whether it comes back, and how, in words. Empty is once. */
const { above, letter } = defineProps<{ above?: boolean; letter?: string }>()
const repeats = defineModel<string>({ required: true })

function take(words: string, close: () => void): void {
  repeats.value = words
  close()
}
</script>

<template>
  <Popover class="relative inline-block">
    <PopoverButton
      class="part inline-flex items-center gap-1"
      data-test="repeats"
      :data-letter="letter"
    >
      <Repeat v-if="repeats !== ''" :size="13" aria-hidden="true" />
      {{ repeats === '' ? 'once' : repeats }}
      <span v-if="letter" class="key">{{ letter.toUpperCase() }}</span>
    </PopoverButton>
    <PopoverPanel
      v-slot="{ close }"
      class="floating absolute left-0 z-30 w-80 max-w-[90vw] p-3"
      :class="above ? 'bottom-full mb-1' : 'top-full mt-1'"
      data-keys="own"
    >
      <RhythmChooser :chosen="repeats" @choose="(words) => take(words, close)" />
    </PopoverPanel>
  </Popover>
</template>
