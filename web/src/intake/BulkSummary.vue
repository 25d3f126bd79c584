<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import { useTemplateRef } from 'vue'
import type { CategoryView, BulkPreview, BulkRequest } from '@/api/client'
import CategoryMark from '@/ui/CategoryMark.vue'
import { day as dayText, replyBy } from '@/ui/time'

/** What a decision about many messages would do, before it is done. */
const { preview, request, categories } = defineProps<{
  preview: BulkPreview
  request: BulkRequest
  categories: readonly CategoryView[]
}>()
const emit = defineEmits<{ confirm: []; cancel: [] }>()

const main = useTemplateRef<HTMLButtonElement>('main')

function heading(): string {
  const count = preview.lines.length
  switch (request.decision) {
    case 'NOTHING':
      return `Nothing to do about ${count} messages`
    case 'PUT_OFF':
      return `Put ${count} messages off until ${request.day ? dayText(request.day) : ''}`
    case 'HAND_OVER':
      return `Hand ${count} messages over to ${request.handOver?.name || (request.handOver?.address ?? '')}`
    case 'FOLLOW_UP':
      return `Make ${count} follow-ups`
  }
}
</script>

<template>
  <Dialog open class="relative z-50" :initial-focus="main" @close="emit('cancel')">
    <div class="fixed inset-0 bg-[rgb(10_20_24/0.28)]" aria-hidden="true" />
    <div class="fixed inset-0 grid place-items-center p-3">
      <DialogPanel
        class="floating flex max-h-full w-full max-w-3xl flex-col p-4"
        data-test="summary"
      >
        <DialogTitle class="text-lg font-semibold">{{ heading() }}</DialogTitle>
        <p class="text-ink-soft">
          One undo takes all of them back.
          <template v-if="preview.decided"
            >{{ preview.decided }} were decided already and stay as they are.</template
          >
        </p>
        <ul class="border-line my-3 min-h-0 flex-1 overflow-auto border-y">
          <li
            v-for="line in preview.lines"
            :key="line.messageId"
            class="border-line grid min-h-7 grid-cols-[120px_1fr] items-center gap-x-3 border-b py-0.5 last:border-0 sm:grid-cols-[120px_1fr_130px_28px]"
          >
            <b class="truncate">{{ line.from }}</b>
            <span class="truncate">{{ line.title }}</span>
            <template v-if="request.decision === 'FOLLOW_UP'">
              <span
                class="text-brass-ink max-sm:col-start-2"
                :class="line.firm ? 'font-semibold' : ''"
                >{{ line.replyDay ? replyBy(line.replyDay, line.replyTime) : 'no date' }}</span
              >
              <CategoryMark
                v-if="line.categoryId"
                class="max-sm:hidden"
                :category="categories.find((each) => each.id === line.categoryId)"
              />
            </template>
          </li>
        </ul>
        <div class="flex justify-end gap-2">
          <button class="btn" type="button" @click="emit('cancel')">
            Cancel <span class="key">Esc</span>
          </button>
          <button
            ref="main"
            class="btn btn-main"
            type="button"
            data-test="confirm"
            @click="emit('confirm')"
          >
            {{ heading() }} <span class="key">Enter</span>
          </button>
        </div>
      </DialogPanel>
    </div>
  </Dialog>
</template>
