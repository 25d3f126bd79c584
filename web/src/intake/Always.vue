<script setup lang="ts">
import { onMounted, useTemplateRef } from 'vue'
import type { MessageView } from '@/api/client'

/** What goes past Intake from now on: everything from there, or subjects like this one. */
const { message } = defineProps<{ message: MessageView }>()
const emit = defineEmits<{ choose: [subject: boolean]; cancel: [] }>()
const first = useTemplateRef<HTMLButtonElement>('first')
const byMail = message.channel === 'MAIL' && message.subject !== ''

onMounted(() => first.value?.focus())

function onKey(event: KeyboardEvent): void {
  if (event.key === '1' || (event.key === '2' && byMail)) {
    event.preventDefault()
    emit('choose', event.key === '2')
  }
}
</script>

<template>
  <div data-test="always" data-keys="own" @keydown.esc.stop="emit('cancel')" @keydown="onKey">
    <p class="mb-1.5 font-semibold">Nothing to do, and past Intake from now on</p>
    <div class="flex flex-wrap gap-2">
      <button
        ref="first"
        class="btn h-9 max-w-full sm:h-8"
        type="button"
        data-test="always-party"
        @click="emit('choose', false)"
      >
        <span class="truncate"
          >everything from
          {{
            message.reading.list ? message.reading.party : message.from.name || message.from.address
          }}</span
        >
        <span class="key">1</span>
      </button>
      <button
        v-if="byMail"
        class="btn h-9 max-w-full sm:h-8"
        type="button"
        data-test="always-subject"
        @click="emit('choose', true)"
      >
        <span class="truncate">subjects like “{{ message.subject }}”</span>
        <span class="key">2</span>
      </button>
      <button class="btn btn-quiet h-9 sm:h-8" type="button" @click="emit('cancel')">
        Cancel <span class="key">Esc</span>
      </button>
    </div>
  </div>
</template>
