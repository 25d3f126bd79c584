<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted, ref, useTemplateRef, watch } from 'vue'
import type { MessageView } from '@/api/client'
import { draftSaver, keepLocally, localDraft } from '@/intake/draft'

/** An answer in plain text. What is typed is kept here and on the server with every pause. */
const { message } = defineProps<{ message: MessageView }>()
const emit = defineEmits<{ send: [answer: { text: string; toAll: boolean }]; cancel: [] }>()

const text = ref(localDraft(message.id) ?? message.draft ?? '')
const toAll = ref(false)
const field = useTemplateRef<HTMLTextAreaElement>('field')
const saver = draftSaver(message.id)
const others = computed(() => message.to.length + message.cc.length > 1)
const recipient = computed(() => message.from.name || message.from.address)

watch(text, (value) => {
  saver.save(value)
})
onMounted(() => field.value?.focus())
onBeforeUnmount(() => {
  saver.stop()
})

function send(): void {
  if (text.value.trim() !== '') {
    saver.stop()
    keepLocally(message.id, text.value)
    emit('send', { text: text.value, toAll: toAll.value })
  }
}
</script>

<template>
  <form class="space-y-2" data-test="answer" @submit.prevent="send" @keydown.esc="emit('cancel')">
    <label class="block">
      <span class="mb-1 block"
        >Answer to <b>{{ recipient }}</b></span
      >
      <textarea
        ref="field"
        v-model="text"
        class="field h-36 resize-y p-2 text-[15px] leading-relaxed"
        maxlength="200000"
        @keydown.ctrl.enter.prevent="send"
        @keydown.meta.enter.prevent="send"
      />
    </label>
    <div class="flex flex-wrap items-center gap-3">
      <label v-if="message.channel === 'MAIL' && others" class="flex items-center gap-1.5">
        <input v-model="toAll" type="checkbox" /> to all who got it
      </label>
      <span class="text-ink-soft">Your text is kept while you write.</span>
      <span class="ml-auto flex gap-2">
        <button class="btn btn-quiet" type="button" @click="emit('cancel')">
          Later <span class="key">Esc</span>
        </button>
        <button class="btn btn-main" type="submit" :disabled="text.trim() === ''" data-test="send">
          Send <span class="key">Ctrl Enter</span>
        </button>
      </span>
    </div>
  </form>
</template>
