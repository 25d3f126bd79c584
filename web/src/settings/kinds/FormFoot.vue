<script setup lang="ts">
import type { ProbeStep } from '@/api/client'
import Steps from '@/settings/Steps.vue'

/** The end of a form of a source: what a test found, and the buttons. */
const { steps, busy, canTest, save } = defineProps<{
  steps: readonly ProbeStep[]
  busy: boolean
  /** Whether enough is entered to try it; null where it cannot be tried. */
  canTest: boolean | null
  /** What saving is called. */
  save: string
}>()
const emit = defineEmits<{ test: []; cancel: [] }>()
</script>

<template>
  <Steps v-if="steps.length" :steps="steps" />
  <slot />
  <div class="flex flex-wrap gap-2">
    <button
      v-if="canTest !== null"
      class="btn"
      type="button"
      :disabled="busy || !canTest"
      data-test="test"
      @click="emit('test')"
    >
      {{ busy ? 'Testing …' : 'Test' }}
    </button>
    <button class="btn btn-main" type="submit" :disabled="busy" data-test="save">{{ save }}</button>
    <button class="btn btn-quiet" type="button" @click="emit('cancel')">Cancel</button>
  </div>
</template>
