<script setup lang="ts">
import { onMounted, ref } from 'vue'

/** Shown only when it takes noticeably long, so that quick answers do not flicker. */
const due = ref(false)
const NOTICEABLE_MS = 250
onMounted(() => setTimeout(() => (due.value = true), NOTICEABLE_MS))
</script>

<template>
  <p class="text-ink-soft px-4 py-6" role="status">{{ due ? 'Loading …' : '' }}</p>
</template>
