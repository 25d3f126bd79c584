<script setup lang="ts">
import { useStorage } from '@vueuse/core'
import { ref } from 'vue'
import { client, type PromiseView } from '@/api/client'
import { run } from '@/api/commands'
import { vFocus } from '@/ui/focus'

/** A word that something takes longer, before it is broken: drafted, changed by hand, kept until it is sent. */
const { promise } = defineProps<{ promise: PromiseView }>()
const emit = defineEmits<{ sent: []; cancel: [] }>()

const kept = useStorage<string | null>(`holding-reply ${promise.messageId}`, null)
const text = ref(kept.value ?? promise.holding)
const sending = ref(false)

function typed(value: string): void {
  text.value = value
  kept.value = value === promise.holding ? null : value
}

async function send(): Promise<void> {
  sending.value = true
  const done = await run((header) =>
    client.POST('/api/messages/{id}/answer', {
      params: { path: { id: promise.messageId }, header },
      body: { text: text.value, toAll: false, cc: null, bcc: null, anyway: null },
    }),
  )
  sending.value = false
  if (done) {
    kept.value = null
    emit('sent')
  }
}
</script>

<template>
  <form
    class="space-y-2"
    data-test="holding"
    @submit.prevent="void send()"
    @keydown.esc.stop="emit('cancel')"
  >
    <p class="font-semibold">
      To <bdi>{{ promise.to }}</bdi>: it takes longer
    </p>
    <textarea
      v-focus
      class="field h-44 w-full resize-y p-2 leading-relaxed"
      maxlength="50000"
      aria-label="What is said"
      :value="text"
      @input="(event) => typed((event.target as HTMLTextAreaElement).value)"
      @keydown.ctrl.enter.prevent="void send()"
      @keydown.meta.enter.prevent="void send()"
    />
    <div class="flex flex-wrap items-center gap-2">
      <span class="text-ink-soft">The day named is the next one with room.</span>
      <span class="ml-auto flex gap-2">
        <button class="btn btn-quiet" type="button" @click="emit('cancel')">
          Cancel <span class="key">Esc</span>
        </button>
        <button class="btn btn-main" type="submit" data-test="send-holding" :disabled="sending">
          Send <span class="key">Ctrl Enter</span>
        </button>
      </span>
    </div>
  </form>
</template>
