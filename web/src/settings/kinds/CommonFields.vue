<script setup lang="ts">
import type { SourceView } from '@/api/client'

/** What is set of every kind of source: what follows there from a decision here, and how far back it is read. */
const { onDecided, rules } = defineProps<{
  /** What it is that follows. */
  onDecided: string
  rules: readonly { value: SourceView['archiveRule']; name: string }[]
}>()
const archiveRule = defineModel<SourceView['archiveRule']>('archiveRule', { required: true })
const daysBack = defineModel<number>('daysBack', { required: true })
</script>

<template>
  <label
    >{{ onDecided }}
    <select v-model="archiveRule" class="field" name="archiveRule">
      <option v-for="rule in rules" :key="rule.value" :value="rule.value">{{ rule.name }}</option>
    </select>
  </label>
  <label
    >Read back this many days
    <input
      v-model.number="daysBack"
      class="field"
      name="daysBack"
      type="number"
      min="1"
      max="3650"
      required
  /></label>
</template>
