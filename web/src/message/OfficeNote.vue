<script setup lang="ts">
import { computed } from 'vue'
import { client } from '@/api/client'
import { run } from '@/api/commands'
import { useOffice } from '@/api/queries'
import { moment } from '@/ui/time'

/** Of a message in a mailbox that several read: who sees to it, who has answered, and who is writing now. */
const { messageId } = defineProps<{ messageId: string }>()
const office = useOffice(() => messageId)
const view = computed(() => office.data.value?.office)
const names = (all: readonly string[]) => all.join(' and ')

function take(): void {
  void run((header) =>
    client.PUT('/api/messages/{id}/office', { params: { path: { id: messageId }, header } }),
  )
}

function letGo(): void {
  void run((header) =>
    client.DELETE('/api/messages/{id}/office', { params: { path: { id: messageId }, header } }),
  )
}
</script>

<template>
  <div
    v-if="view"
    class="bg-dusk-wash mt-2 flex flex-wrap items-center gap-2 rounded px-3 py-1.5"
    data-test="office"
  >
    <span v-if="view.state === 'FREE'">
      <bdi>{{ view.address }}</bdi> is read by <b>{{ names(view.readers) }}</b> too: whose turn it
      is, is the office’s.
    </span>
    <span v-else-if="view.state === 'TAKEN'">
      <template v-if="view.mine">You see to it for the office.</template>
      <template v-else
        ><b>{{ view.by }}</b> sees to it</template
      >
      <template v-if="!view.mine && view.at"> since {{ moment(view.at) }}.</template>
    </span>
    <span v-else>
      <template v-if="view.mine">You have answered for the office.</template>
      <template v-else
        ><b>{{ view.by }}</b> has answered it<template v-if="view.at">
          on {{ moment(view.at) }}</template
        >.</template
      >
    </span>
    <b v-if="view.writing.length" class="text-brass-ink" role="status" data-test="writing"
      >{{ names(view.writing) }} {{ view.writing.length === 1 ? 'is' : 'are' }} writing an
      answer.</b
    >
    <button
      v-if="view.state === 'FREE' || (view.state === 'TAKEN' && !view.mine)"
      class="btn h-7 max-sm:h-11"
      type="button"
      data-test="office-take"
      @click="take"
    >
      {{ view.state === 'FREE' ? 'I see to it' : 'I see to it instead' }}
    </button>
    <button
      v-if="view.state === 'TAKEN' && view.mine"
      class="btn h-7 max-sm:h-11"
      type="button"
      data-test="office-let-go"
      @click="letGo"
    >
      Let it go
    </button>
  </div>
</template>
