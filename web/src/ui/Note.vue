<script setup lang="ts">
/** An empty view, or something that went wrong: what is the case, and the first step. */
defineProps<{
  title: string
  problem?: boolean
  /** Nothing else of the view has a heading. */
  alone?: boolean
}>()
</script>

<template>
  <div class="mx-auto max-w-md px-6 py-14 text-center" :role="problem ? 'alert' : undefined">
    <component
      :is="alone ? 'h1' : 'h2'"
      class="text-lg font-semibold"
      :class="problem ? 'text-rust' : ''"
      >{{ title }}</component
    >
    <div class="text-ink-soft mt-2 space-y-3"><slot /></div>
  </div>
</template>
