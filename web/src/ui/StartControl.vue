<script setup lang="ts">
import { Popover, PopoverButton, PopoverPanel } from '@headlessui/vue'
import type { QuickChoice } from '@/api/client'
import { day as dayText, today } from '@/ui/time'
import TypedDay from '@/ui/TypedDay.vue'

/** Until which day a follow-up stays out of sight. */
const { choices, above, letter } = defineProps<{
  choices: readonly QuickChoice[]
  above?: boolean
  letter?: string
}>()
const chosen = defineModel<string | null>({ required: true })

function choose(isoDay: string | null, close: () => void): void {
  chosen.value = isoDay !== null && isoDay > today() ? isoDay : null
  close()
}
</script>

<template>
  <Popover class="relative inline-block">
    <PopoverButton class="part" data-test="start" :data-letter="letter">
      {{ chosen ? `from ${dayText(chosen)}` : 'from now on' }}
      <span v-if="letter" class="key">{{ letter.toUpperCase() }}</span>
    </PopoverButton>
    <PopoverPanel
      v-slot="{ close }"
      class="floating absolute left-0 z-30 w-72 max-w-[calc(100vw-24px)] p-3"
      :class="above ? 'bottom-full mb-1' : 'top-full mt-1'"
      data-keys="own"
    >
      <p class="text-ink-soft mb-1">Out of sight until</p>
      <TypedDay focus @choose="(isoDay) => choose(isoDay, close)" />
      <button
        v-for="choice in choices"
        :key="choice.label"
        type="button"
        class="hover:bg-kelp-wash flex h-8 w-full items-center justify-between gap-3 rounded px-2 text-left"
        :class="choice.day === chosen ? 'bg-kelp-wash' : ''"
        @click="choose(choice.day, close)"
      >
        <span>{{ choice.label }}</span>
        <span class="text-ink-soft">{{ dayText(choice.day) }}</span>
      </button>
      <button
        type="button"
        class="hover:bg-kelp-wash h-8 w-full rounded px-2 text-left"
        @click="choose(null, close)"
      >
        Show it from now on
      </button>
    </PopoverPanel>
  </Popover>
</template>
