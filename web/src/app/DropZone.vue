<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { ref } from 'vue'
import { importFile } from '@/api/files'

/** Takes .eml, mbox and .ics files that are dropped anywhere on the page. */
const over = ref(false)

function carriesFiles(event: DragEvent): boolean {
  return event.dataTransfer?.types.includes('Files') ?? false
}

useEventListener(document, 'dragover', (event: DragEvent) => {
  if (carriesFiles(event)) {
    event.preventDefault()
    over.value = true
  }
})
useEventListener(document, 'dragleave', (event: DragEvent) => {
  if (event.relatedTarget === null) {
    over.value = false
  }
})
useEventListener(document, 'drop', (event: DragEvent) => {
  if (!carriesFiles(event)) {
    return
  }
  event.preventDefault()
  over.value = false
  for (const file of event.dataTransfer?.files ?? []) {
    void importFile(file)
  }
})
</script>

<template>
  <div
    v-if="over"
    class="bg-kelp-wash border-kelp pointer-events-none fixed inset-3 z-50 grid place-items-center rounded border-2 border-dashed opacity-95"
  >
    <p class="text-lg font-semibold">
      Drop .eml or mbox files to bring their messages to Intake, .ics files to see their meetings
    </p>
  </div>
</template>
