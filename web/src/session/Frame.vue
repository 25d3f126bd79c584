<script setup lang="ts">
/** The page around signing in and the first visit. */
defineProps<{ title: string }>()
</script>

<template>
  <div class="grid h-full place-items-center p-4">
    <div class="w-full max-w-sm">
      <p class="text-xl font-bold tracking-tight">Squallnote</p>
      <div class="neatline mt-1 mb-6" aria-hidden="true" />
      <main>
        <h1 class="text-lg font-semibold">{{ title }}</h1>
        <slot />
      </main>
    </div>
  </div>
</template>
