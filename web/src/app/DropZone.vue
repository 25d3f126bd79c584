<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { ref } from 'vue'
import { useRouter } from 'vue-router'
import { arrive } from '@/takein/arriving'

/** Takes files that are dropped anywhere on the page: messages and people at once, follow-ups after a look. */
const router = useRouter()
const over = ref(false)

async function take(file: File): Promise<void> {
  if (await arrive(file)) {
    await router.push('/take-in')
  }
}

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
    void take(file)
  }
})
</script>

<template>
  <div
    v-if="over"
    class="bg-kelp-wash border-kelp pointer-events-none fixed inset-3 z-50 grid place-items-center rounded border-2 border-dashed opacity-95"
  >
    <p class="text-lg font-semibold">
      Drop files to take in what is in them: messages, meetings, people, tables and lists of
      follow-ups
    </p>
  </div>
</template>
