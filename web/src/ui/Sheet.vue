<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import { X } from '@lucide/vue'

/** A sheet over the right half. Closing it gives the focus back to where it came from. */
defineProps<{ title: string; wide?: boolean }>()
const emit = defineEmits<{ close: [] }>()
</script>

<template>
  <Dialog open class="relative z-40" @close="emit('close')">
    <div class="fixed inset-0 bg-[rgb(10_20_24/0.28)]" aria-hidden="true" />
    <DialogPanel
      class="bg-surface border-line-strong shadow-float fixed inset-y-0 right-0 flex w-full flex-col border-l"
      :class="wide ? 'md:w-[min(100vw,1400px)]' : 'md:w-[max(50vw,560px)]'"
    >
      <div class="border-line flex items-start justify-between gap-3 border-b px-4 py-2.5">
        <DialogTitle class="min-w-0 text-lg font-semibold wrap-anywhere">{{ title }}</DialogTitle>
        <button class="btn btn-quiet shrink-0 px-2" type="button" @click="emit('close')">
          <X :size="16" aria-hidden="true" /> Close <span class="key">Esc</span>
        </button>
      </div>
      <div class="relative min-h-0 flex-1 overflow-auto">
        <slot />
      </div>
      <slot name="foot" />
    </DialogPanel>
  </Dialog>
</template>
