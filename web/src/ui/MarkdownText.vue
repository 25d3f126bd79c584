<script setup lang="ts">
import { computed } from 'vue'
import { safeHtml } from '@/ui/markdown'

/** A note with its light formatting (CommonMark). */
const { text, flows } = defineProps<{
  text: string
  /** Whether a line may end within a paragraph. */
  flows?: boolean
}>()
const html = computed(() => safeHtml(text, flows))
</script>

<template>
  <!-- eslint-disable-next-line vue/no-v-html -- it is made here from plain text, and sanitised -->
  <div class="note" dir="auto" v-html="html" />
</template>
