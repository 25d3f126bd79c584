<script setup lang="ts">
import { ref } from 'vue'
import { client, type MessageView } from '@/api/client'
import { run } from '@/api/commands'
import { vFocus } from '@/ui/focus'

/** A message that a colleague has handed over to me, to be taken or not; of one that I gave away, what became of it. */
const { message, handOver } = defineProps<{
  message: MessageView
  handOver: NonNullable<MessageView['handOver']>
}>()
const word = ref('')
const declining = ref(false)

const GIVEN: Record<typeof handOver.state, string> = {
  OFFERED: 'Handed over to',
  ACCEPTED: 'Taken over by',
  DECLINED: 'Declined by',
}

async function settle(accepts: boolean): Promise<void> {
  await run(
    (header) => {
      const params = { path: { id: message.id }, header }
      return accepts
        ? client.POST('/api/messages/{id}/accept', { params })
        : client.POST('/api/messages/{id}/decline', { params, body: { word: word.value } })
    },
    accepts ? 'undoable' : 'final',
  )
}
</script>

<template>
  <div
    class="bg-dusk-wash mt-2 flex flex-wrap items-center gap-2 rounded px-3 py-1.5"
    data-test="handed-over"
  >
    <span v-if="handOver.mine"
      >{{ GIVEN[handOver.state] }} <b>{{ handOver.who }}</b><template v-if="handOver.word"
        >: “{{ handOver.word }}”</template
      ></span
    >
    <template v-else-if="handOver.state === 'OFFERED'">
      <span
        ><b>{{ handOver.who }}</b> hands this over to you.</span
      >
      <template v-if="declining">
        <input
          v-model="word"
          v-focus
          class="field w-full sm:w-64"
          maxlength="2000"
          placeholder="Why, in a word"
          aria-label="Why not"
          @keydown.enter.prevent="void settle(false)"
        />
        <button class="btn h-7" type="button" @click="void settle(false)">Decline</button>
        <button class="btn btn-quiet h-7" type="button" @click="declining = false">Cancel</button>
      </template>
      <template v-else>
        <button
          class="btn btn-main h-7"
          type="button"
          data-test="accept-hand-over"
          @click="void settle(true)"
        >
          Accept
        </button>
        <button
          class="btn h-7"
          type="button"
          data-test="decline-hand-over"
          @click="declining = true"
        >
          Decline
        </button>
      </template>
    </template>
    <span v-else
      >You have {{ handOver.state === 'ACCEPTED' ? 'accepted' : 'declined' }} this from
      <b>{{ handOver.who }}</b>.</span
    >
  </div>
</template>
