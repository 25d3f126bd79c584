<script setup lang="ts">
import Chip from '@/ui/Chip.vue'

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
    <Chip
      v-for="chip in chips"
      :key="chip.value"
      :on="chip.value === chosen"
      :count="chip.count"
      crossed
      @click="emit('choose', chip.value === chosen ? null : chip.value)"
    >
      <bdi class="truncate">{{ chip.text }}</bdi>
    </Chip>
  </div>
</template>
