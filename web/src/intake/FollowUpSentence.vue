<script setup lang="ts">
import { computed, onMounted, ref, useTemplateRef } from 'vue'
import type { CategoryView, FollowUpRequest, MessageView, QuickChoice } from '@/api/client'
import CategoryControl from '@/ui/CategoryControl.vue'
import EffortControl from '@/ui/EffortControl.vue'
import ReplyByControl from '@/ui/ReplyByControl.vue'

/** A follow-up on offer as a sentence to correct; Enter accepts it as it stands. */
const { message, categories, choices } = defineProps<{
  message: MessageView
  categories: readonly CategoryView[]
  choices: readonly QuickChoice[]
}>()
const emit = defineEmits<{
  accept: [content: FollowUpRequest]
  remember: [days: number]
  cancel: []
}>()

const title = ref(message.proposal.title)
const replyDay = ref<string | null>(message.proposal.replyBy)
const replyTime = ref<string | null>(message.proposal.replyTime)
const firm = ref(message.proposal.firm)
const categoryId = ref<string | null>(message.proposal.categoryId)
const effortMinutes = ref<number | null>(message.proposal.effortMinutes)
const forReply = ref(message.proposal.forReply)
const input = useTemplateRef<HTMLInputElement>('input')
const reason = computed(() =>
  replyDay.value === message.proposal.replyBy ? `because ${message.proposal.replyByReason}` : '',
)

const sender = computed(() =>
  message.reading.list ? message.reading.party : message.from.name || message.from.address,
)

onMounted(() => {
  input.value?.focus()
  input.value?.select()
})

function accept(): void {
  if (title.value.trim() === '') {
    return
  }
  emit('accept', {
    title: title.value,
    replyDay: replyDay.value,
    replyTime: replyTime.value,
    firm: firm.value,
    categoryId: categoryId.value,
    effortMinutes: effortMinutes.value,
    forReply: forReply.value,
  })
}
</script>

<template>
  <form
    class="space-y-2"
    data-test="sentence"
    @submit.prevent="accept"
    @keydown.esc="emit('cancel')"
  >
    <label class="flex items-center gap-2">
      <span class="sr-only">What is to be done</span>
      <input
        ref="input"
        v-model="title"
        class="field text-[15px] font-semibold"
        maxlength="300"
        required
      />
    </label>
    <div class="flex flex-wrap items-center gap-x-1.5 gap-y-2">
      <span>reply by</span>
      <ReplyByControl
        v-model:day="replyDay"
        v-model:time="replyTime"
        v-model:firm="firm"
        :choices="choices"
        :sender="sender"
        above
        @remember="(days) => emit('remember', days)"
      />
      <span v-if="reason" class="text-ink-soft" data-test="reply-by-reason">{{ reason }}</span>
      <span>· in</span>
      <CategoryControl v-model="categoryId" :categories="categories" above />
      <span
        v-if="message.proposal.categoryReason && categoryId === message.proposal.categoryId"
        class="text-ink-soft"
        >{{ message.proposal.categoryReason }}</span
      >
      <span>· about</span>
      <EffortControl v-model="effortMinutes" above />
      <button
        type="button"
        class="part"
        :aria-pressed="forReply"
        :title="
          forReply
            ? 'It is done by itself once your answer is seen, wherever you write it'
            : 'It stays open when you answer, until you say it is done'
        "
        data-test="for-reply"
        @click="forReply = !forReply"
      >
        {{ forReply ? 'until I answer' : 'until I say so' }}
      </button>
      <span class="ml-auto flex gap-2">
        <button class="btn btn-quiet" type="button" @click="emit('cancel')">
          Cancel <span class="key">Esc</span>
        </button>
        <button class="btn btn-main" type="submit" data-test="accept">
          Make follow-up <span class="key">Enter</span>
        </button>
      </span>
    </div>
  </form>
</template>
