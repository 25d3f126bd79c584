<script setup lang="ts">
import { useElementSize, useIntersectionObserver } from '@vueuse/core'
import type { PDFDocumentProxy } from 'pdfjs-dist'
import { onBeforeUnmount, onMounted, ref, shallowRef, useTemplateRef } from 'vue'
import { drawPage, openPdf } from '@/files/pdf'

/** The pages of a PDF one below the other; each is drawn when it comes into sight. */
const { bytes } = defineProps<{ bytes: ArrayBuffer }>()
const emit = defineEmits<{ unreadable: [] }>()

const MOST_PAGES = 500
const pdf = shallowRef<PDFDocumentProxy>()
const pages = ref(0)
const root = useTemplateRef<HTMLElement>('root')
const { width } = useElementSize(root)
const canvases = useTemplateRef<HTMLCanvasElement[]>('canvases')
const drawn = new Set<number>()

onMounted(async () => {
  try {
    pdf.value = await openPdf(bytes.slice(0))
    pages.value = Math.min(pdf.value.numPages, MOST_PAGES)
  } catch {
    emit('unreadable')
  }
})
onBeforeUnmount(() => {
  void pdf.value?.loadingTask.destroy()
})

useIntersectionObserver(
  () => canvases.value,
  (entries) => {
    for (const { isIntersecting, target } of entries) {
      const canvas = target as HTMLCanvasElement
      const number = Number(canvas.dataset.page)
      if (isIntersecting && pdf.value && !drawn.has(number)) {
        drawn.add(number)
        drawPage(pdf.value, number, canvas, Math.max(200, width.value)).catch(() => {
          drawn.delete(number)
        })
      }
    }
  },
  { rootMargin: '600px' },
)
</script>

<template>
  <div ref="root" class="space-y-3" data-test="pdf">
    <canvas
      v-for="number in pages"
      ref="canvases"
      :key="number"
      class="border-line block min-h-40 w-full border bg-white"
      :data-page="number"
      role="img"
      :aria-label="`Page ${number} of ${pages}`"
    />
    <p v-if="pdf && pdf.numPages > pages" class="text-ink-soft">
      It has {{ pdf.numPages }} pages, of which the first {{ pages }} are shown. Save it to see all.
    </p>
  </div>
</template>
