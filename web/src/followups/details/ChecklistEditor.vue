<script setup lang="ts">
import { nextTick, useTemplateRef } from 'vue'
import { Plus } from '@lucide/vue'
import type { Step } from '@/api/client'

/** The steps of a follow-up: Enter begins the next one, Backspace in an empty one takes it away. */
const { steps } = defineProps<{ steps: readonly Step[] }>()
const emit = defineEmits<{ change: [steps: Step[]] }>()
const list = useTemplateRef<HTMLElement>('list')

function put(i: number, changed: Partial<Step>): void {
  emit(
    'change',
    steps.map((step, place) => (place === i ? { ...step, ...changed } : step)),
  )
}

async function focusAt(place: number): Promise<void> {
  await nextTick()
  list.value?.querySelectorAll<HTMLInputElement>('input[type=text]')[place]?.focus()
}

async function add(at: number): Promise<void> {
  emit('change', [...steps.slice(0, at), { text: '', done: false }, ...steps.slice(at)])
  await focusAt(at)
}

async function remove(i: number): Promise<void> {
  emit(
    'change',
    steps.filter((_, place) => place !== i),
  )
  await focusAt(Math.max(0, i - 1))
}

function onKey(event: KeyboardEvent, i: number): void {
  if (event.key === 'Enter') {
    event.preventDefault()
    event.stopPropagation()
    void add(i + 1)
  } else if (event.key === 'Backspace' && steps[i]?.text === '') {
    event.preventDefault()
    void remove(i)
  }
}

/** A pasted list makes one step a line. */
function onPaste(event: ClipboardEvent, i: number): void {
  const lines = (event.clipboardData?.getData('text/plain') ?? '')
    .split(/\r?\n/)
    .map((line) => line.replace(/^\s*(?:[-*•☐]|\d+[.)])\s+/, '').trim())
    .filter((line) => line !== '')
  if (lines.length > 1) {
    event.preventDefault()
    const here = steps[i]
    const before = here?.text === '' ? steps.slice(0, i) : steps.slice(0, i + 1)
    emit('change', [
      ...before,
      ...lines.map((text) => ({ text: text.slice(0, 500), done: false })),
      ...steps.slice(i + 1),
    ])
  }
}
</script>

<template>
  <div ref="list" data-test="checklist">
    <ul>
      <li v-for="(step, i) in steps" :key="i" class="flex items-center gap-2 py-0.5">
        <input
          type="checkbox"
          :checked="step.done"
          :aria-label="`Done: ${step.text}`"
          @change="put(i, { done: !step.done })"
        />
        <input
          type="text"
          class="field h-7"
          :class="step.done ? 'text-ink-soft line-through' : ''"
          :value="step.text"
          maxlength="500"
          :aria-label="`Step ${i + 1}`"
          @input="
            (event) => {
              put(i, { text: (event.target as HTMLInputElement).value })
            }
          "
          @keydown="(event) => onKey(event, i)"
          @paste="(event) => onPaste(event, i)"
        />
      </li>
    </ul>
    <button
      type="button"
      class="btn btn-quiet h-7 px-1.5"
      data-test="add-step"
      @click="void add(steps.length)"
    >
      <Plus :size="14" aria-hidden="true" /> Add a step
    </button>
  </div>
</template>
