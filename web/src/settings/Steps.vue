<script setup lang="ts">
import { Check, X } from '@lucide/vue'
import type { ProbeStep } from '@/api/client'

/** What a test of a connection has found, step by step. */
defineProps<{ steps: readonly ProbeStep[] }>()
</script>

<template>
  <ol class="space-y-1" role="status" data-test="steps">
    <li v-for="step in steps" :key="step.name" class="flex gap-2">
      <Check v-if="step.passed" :size="16" class="text-kelp mt-0.5 shrink-0" aria-label="worked" />
      <X v-else :size="16" class="text-rust mt-0.5 shrink-0" aria-label="did not work" />
      <span
        ><b>{{ step.name }}.</b> {{ step.detail }}</span
      >
    </li>
  </ol>
</template>
