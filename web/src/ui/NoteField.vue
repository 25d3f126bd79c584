<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { nextTick, ref, useTemplateRef } from 'vue'
import MarkdownText from '@/ui/MarkdownText.vue'

/** A note as it reads; a click or Enter opens it for writing, leaving it shows it again. */
const { label, placeholder = '' } = defineProps<{ label: string; placeholder?: string }>()
const text = defineModel<string>({ required: true })
const writing = ref(text.value === '')
const field = useTemplateRef<HTMLTextAreaElement>('field')

async function write(event: Event): Promise<void> {
  if (event.target instanceof HTMLElement && event.target.closest('a')) {
    return
  }
  writing.value = true
  await nextTick()
  field.value?.focus()
}

let pressed = false
useEventListener(document, 'pointerdown', () => (pressed = true), { capture: true })
useEventListener(document, ['pointerup', 'pointercancel'], () => (pressed = false), {
  capture: true,
})

/** What is pressed elsewhere must not move away before it is let go. */
function read(): void {
  const show = () => {
    writing.value = text.value.trim() === ''
  }
  if (pressed) {
    document.addEventListener('click', show, { once: true, capture: true })
  } else {
    show()
  }
}
</script>

<template>
  <div v-if="writing" class="max-w-xl print:hidden">
    <textarea
      ref="field"
      class="field h-24 w-full resize-y p-2"
      maxlength="20000"
      :aria-label="label"
      :placeholder="placeholder"
      data-test="note"
      :value="text"
      @input="text = ($event.target as HTMLTextAreaElement).value"
      @blur="read"
      @keydown.esc.stop="($event.target as HTMLTextAreaElement).blur()"
    />
    <p class="text-ink-soft text-sm">
      **bold** · *italic* · - list · 1. list · > quote · [words](https://…)
    </p>
  </div>
  <div
    v-else
    class="border-line hover:border-line-strong max-w-xl cursor-text rounded border px-2 py-1"
    role="button"
    tabindex="0"
    :aria-label="`${label}: change it`"
    data-test="note-read"
    @click="void write($event)"
    @keydown.enter.self.prevent="void write($event)"
  >
    <MarkdownText :text="text" />
  </div>
</template>
