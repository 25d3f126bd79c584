<script setup lang="ts">
import { X } from '@lucide/vue'

/** What would narrow a search in one way; what does is pressed, and pressed again it no longer does. */
const { name, chips, chosen } = defineProps<{
  name: string
  /** With how many have it, where that is known. */
  chips: readonly { value: string; text: string; count?: number }[]
  chosen: string | null
}>()
const emit = defineEmits<{ choose: [value: string | null] }>()
</script>

<template>
  <div
    v-if="chips.length > 0"
    class="flex flex-wrap items-center gap-1.5"
    role="group"
    :aria-label="name"
  >
    <span class="text-ink-soft w-16 shrink-0 text-sm">{{ name }}</span>
    <button
      v-for="chip in chips"
      :key="chip.value"
      type="button"
      class="part max-w-56 max-sm:h-11"
      :class="chip.value === chosen ? 'border-kelp bg-kelp-wash font-semibold' : ''"
      :aria-pressed="chip.value === chosen"
      @click="emit('choose', chip.value === chosen ? null : chip.value)"
    >
      <bdi class="truncate">{{ chip.text }}</bdi>
      <X v-if="chip.value === chosen" :size="13" aria-hidden="true" />
      <span v-else-if="chip.count !== undefined" class="text-ink-soft text-sm">{{
        chip.count
      }}</span>
    </button>
  </div>
</template>
