<script setup lang="ts">
import type { ProbeStep } from '@/api/client'
import Steps from '@/settings/Steps.vue'

/** The end of a form of a source: what a test found, and the buttons. */
const { steps, busy, isNew } = defineProps<{
  steps: readonly ProbeStep[]
  busy: boolean
  /** Whether it is to be connected, and can be tried before. */
  isNew: boolean
}>()
const emit = defineEmits<{ test: []; cancel: [] }>()
</script>

<template>
  <Steps v-if="steps.length" :steps="steps" />
  <div class="flex flex-wrap gap-2">
    <button
      v-if="isNew"
      class="btn"
      type="button"
      :disabled="busy"
      data-test="test"
      @click="emit('test')"
    >
      {{ busy ? 'Testing …' : 'Test' }}
    </button>
    <button class="btn btn-main" type="submit" :disabled="busy" data-test="save">
      {{ isNew ? 'Connect' : 'Save' }}
    </button>
    <button class="btn btn-quiet" type="button" @click="emit('cancel')">Cancel</button>
  </div>
</template>
