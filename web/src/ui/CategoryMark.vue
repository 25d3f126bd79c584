<script setup lang="ts">
import type { CategoryView } from '@/api/client'

defineProps<{ category: CategoryView | undefined; withName?: boolean }>()
</script>

<template>
  <span v-if="category" class="inline-flex min-w-0 items-center gap-1.5">
    <span
      class="inline-grid h-[18px] w-6 shrink-0 place-items-center rounded border text-xs leading-none font-semibold"
      :style="{
        color: `var(--hue-${category.hue.toLowerCase()})`,
        borderColor: `var(--hue-${category.hue.toLowerCase()})`,
      }"
      :title="category.name"
      >{{ category.monogram }}</span
    >
    <span v-if="withName" class="truncate">{{ category.name }}</span>
  </span>
  <span v-else-if="withName" class="text-ink-soft">no category</span>
</template>
