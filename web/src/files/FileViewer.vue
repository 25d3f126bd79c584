<script setup lang="ts">
import { Download, X } from '@lucide/vue'
import { storeToRefs } from 'pinia'
import { computed, defineAsyncComponent, nextTick, ref, useTemplateRef, watch } from 'vue'
import { useViewedFile, wayToShow } from '@/files/viewing'
import { saveFile } from '@/files/saveFile'
import Loading from '@/ui/Loading.vue'
import Note from '@/ui/Note.vue'

/** A picture, a text or a PDF over whatever view is open. */
const PdfPages = defineAsyncComponent(() => import('@/files/PdfPages.vue'))

const MOST_TEXT = 500_000
const { file: viewed } = storeToRefs(useViewedFile())
const way = computed(() => (viewed.value ? wayToShow(viewed.value) : undefined))
const text = ref('')
const cut = ref(false)
const bytes = ref<ArrayBuffer>()
const problem = ref('')
const loading = ref(false)
const dialog = useTemplateRef<HTMLDialogElement>('dialog')
let before: Element | null = null
watch(
  () => viewed.value !== undefined,
  async (open) => {
    if (open) {
      before = document.activeElement
      await nextTick()
      dialog.value?.showModal()
    } else if (before instanceof HTMLElement) {
      before.focus()
    }
  },
  { immediate: true },
)

watch(
  viewed,
  async (file) => {
    text.value = ''
    cut.value = false
    bytes.value = undefined
    problem.value = ''
    if (!file || (way.value !== 'text' && way.value !== 'pdf')) {
      return
    }
    loading.value = true
    try {
      const answer = await fetch(file.address)
      if (!answer.ok) {
        const said = (await answer.json().catch(() => ({}))) as { detail?: string }
        throw new Error(said.detail ?? 'The file could not be fetched.')
      }
      const content = await answer.arrayBuffer()
      if (viewed.value !== file) {
        return
      }
      if (way.value === 'pdf') {
        bytes.value = content
      } else {
        const whole = new TextDecoder().decode(content)
        text.value = whole.slice(0, MOST_TEXT)
        cut.value = whole.length > MOST_TEXT
      }
    } catch (error) {
      problem.value = error instanceof Error ? error.message : String(error)
    } finally {
      loading.value = false
    }
  },
  { immediate: true },
)

function close(): void {
  viewed.value = undefined
}
</script>

<template>
  <!-- Of its own in the body: it lies over sheets without their closing. -->
  <Teleport to="body">
    <dialog
      v-if="viewed"
      ref="dialog"
      class="bg-surface text-ink border-line-strong shadow-float fixed inset-y-0 right-0 left-auto m-0 h-dvh max-h-none w-full max-w-none flex-col border-l backdrop:bg-[rgb(10_20_24/0.28)] open:flex md:w-[max(56vw,620px)]"
      :aria-label="viewed.name"
      data-test="file-viewer"
      @close="close"
      @click.self="close"
      @keydown.stop
    >
      <div class="border-line flex items-center gap-2 border-b px-4 py-2.5">
        <h2 class="min-w-0 flex-1 truncate text-lg font-semibold">
          <bdi>{{ viewed.name }}</bdi>
        </h2>
        <button
          class="btn h-8 max-sm:h-11"
          type="button"
          @click="void saveFile(viewed.address, viewed.name)"
        >
          <Download :size="15" aria-hidden="true" /> Save
        </button>
        <button class="btn btn-quiet h-8 px-2 max-sm:h-11" type="button" autofocus @click="close">
          <X :size="16" aria-hidden="true" /> Close <span class="key">Esc</span>
        </button>
      </div>
      <div class="min-h-0 flex-1 overflow-auto p-4">
        <Loading v-if="loading" />
        <Note v-else-if="problem" title="It cannot be shown here" problem>
          <p>{{ problem }} Its message is not changed by that.</p>
        </Note>
        <img
          v-else-if="way === 'picture'"
          class="border-line max-w-full border"
          :src="`${viewed.address}?view=true`"
          :alt="viewed.name"
          @error="problem = 'This picture is damaged, or is no picture.'"
        />
        <template v-else-if="way === 'text'">
          <pre class="font-mono text-sm wrap-anywhere whitespace-pre-wrap" dir="auto">{{
            text
          }}</pre>
          <p v-if="cut" class="text-ink-soft mt-2">Its beginning. Save it to see all of it.</p>
        </template>
        <PdfPages
          v-else-if="bytes"
          :key="viewed.address"
          :bytes="bytes"
          @unreadable="problem = 'This PDF is damaged or locked with a password.'"
        />
      </div>
    </dialog>
  </Teleport>
</template>
