<script setup lang="ts">
import { dismiss, toasts } from '@/api/toasts'
import KeyHint from '@/ui/KeyHint.vue'
import { Undo2, X } from '@lucide/vue'

function takeBack(id: number, undo: () => Promise<void>): void {
  dismiss(id)
  void undo()
}

function take(id: number, run: () => void): void {
  dismiss(id)
  run()
}
</script>

<template>
  <div
    class="pointer-events-none fixed inset-x-0 top-14 z-50 flex flex-col items-center gap-2 px-3 sm:inset-x-auto sm:top-auto sm:right-3 sm:bottom-14 sm:items-end"
    role="status"
    aria-live="polite"
  >
    <div
      v-for="toast in toasts"
      :key="toast.id"
      class="floating pointer-events-auto flex max-w-xl items-center gap-3 px-3 py-2"
      :class="toast.kind === 'problem' ? 'border-rust' : ''"
      data-test="toast"
    >
      <span class="min-w-0 wrap-anywhere" :class="toast.kind === 'problem' ? '' : 'line-clamp-2'">
        {{ toast.text }}
      </span>
      <button
        v-if="toast.undo"
        class="btn"
        type="button"
        data-test="undo"
        @click="takeBack(toast.id, toast.undo)"
      >
        <Undo2 :size="15" aria-hidden="true" /> Undo
        <KeyHint group="Everywhere" does="Undo the last change" or="U" />
      </button>
      <button
        v-if="toast.action"
        class="btn btn-main"
        type="button"
        data-test="toast-action"
        @click="take(toast.id, toast.action.run)"
      >
        {{ toast.action.label }}
      </button>
      <button
        class="btn btn-quiet px-1"
        type="button"
        aria-label="Close this message"
        @click="dismiss(toast.id)"
      >
        <X :size="15" aria-hidden="true" />
      </button>
    </div>
  </div>
</template>
