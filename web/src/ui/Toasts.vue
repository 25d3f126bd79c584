<script setup lang="ts">
import { Undo2, X } from '@lucide/vue'
import { ToastClose, ToastDescription, ToastProvider, ToastRoot, ToastViewport } from 'reka-ui'
import { useToasts, type Toast } from '@/api/toasts'
import KeyHint from '@/ui/KeyHint.vue'

const toasts = useToasts()

/** So long they stay, in milliseconds; the time stands still while somebody is on one, or in another window. */
const STAYS = { done: 10_000, offer: 30_000, problem: Number.POSITIVE_INFINITY }

function takeBack(id: number, undo: () => Promise<unknown>): void {
  toasts.dismiss(id)
  void undo()
}

function take(id: number, run: () => void): void {
  toasts.dismiss(id)
  run()
}

function closed(toast: Toast, open: boolean): void {
  if (!open) {
    toasts.dismiss(toast.id)
  }
}
</script>

<template>
  <ToastProvider swipe-direction="left" label="What happened">
    <ToastRoot
      v-for="toast in toasts.list"
      :key="toast.id"
      class="floating pointer-events-auto flex max-w-full items-center gap-3 px-3 py-2"
      :class="toast.kind === 'problem' ? 'border-rust' : ''"
      :duration="STAYS[toast.kind]"
      data-test="toast"
      @update:open="(open) => closed(toast, open)"
    >
      <ToastDescription
        class="min-w-0 wrap-anywhere"
        :class="toast.kind === 'problem' ? '' : 'line-clamp-4'"
      >
        {{ toast.text }}
      </ToastDescription>
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
      <ToastClose class="btn btn-quiet px-1" aria-label="Close this message">
        <X :size="15" aria-hidden="true" />
      </ToastClose>
    </ToastRoot>
    <!-- At the left, since what is pressed next stands at the right: decisions, and the buttons of a sheet. On a narrow
         page between what is typed into, which is above, and what decides, which is below. -->
    <ToastViewport
      class="pointer-events-none fixed inset-x-0 bottom-60 z-50 flex flex-col items-center gap-2 px-3 sm:right-auto sm:bottom-11 sm:left-0 sm:max-w-[432px] sm:items-start"
    />
  </ToastProvider>
</template>
