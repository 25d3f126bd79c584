<script setup lang="ts">
import { X } from '@lucide/vue'

/** Something that can be chosen: pressed it counts, pressed again it no longer does. */
const { on, count, crossed } = defineProps<{
  on: boolean
  /** With how many have it, where that is known. */
  count?: number | undefined
  /** Whether a cross shows that the next press takes it away. */
  crossed?: boolean
}>()
</script>

<template>
  <button
    type="button"
    class="part max-w-56 max-sm:h-11"
    :class="on ? 'border-kelp bg-kelp-wash font-semibold' : ''"
    :aria-pressed="on"
  >
    <slot />
    <X v-if="on && crossed" :size="13" class="shrink-0" aria-hidden="true" />
    <span v-else-if="count !== undefined" class="text-ink-soft text-sm">{{ count }}</span>
  </button>
</template>
