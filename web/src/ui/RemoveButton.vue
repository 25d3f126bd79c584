<script setup lang="ts">
import { Trash2, X } from '@lucide/vue'

/** A small button that takes away what it stands beside; said in words to whoever does not see it. */
const { label, bin } = defineProps<{
  label: string
  /** Whether the thing itself goes, and not only its place here. */
  bin?: boolean
}>()
const emit = defineEmits<{ press: [] }>()
</script>

<template>
  <button
    type="button"
    class="btn btn-quiet size-7 shrink-0 justify-center p-0 max-sm:size-11 print:hidden"
    :aria-label="label"
    @click="emit('press')"
  >
    <component :is="bin ? Trash2 : X" :size="13" aria-hidden="true" />
  </button>
</template>
