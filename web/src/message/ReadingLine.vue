<script setup lang="ts">
import { computed } from 'vue'
import type { MessageView } from '@/api/client'

/** What was read in a message in one line, why, and the way to say that it is wrong. */
const { message } = defineProps<{ message: MessageView }>()
const emit = defineEmits<{ wrong: [always: boolean] }>()

const NATURE: Record<MessageView['nature'], string> = {
  PERSON: '',
  INVITATION: 'an invitation',
  AUTO_REPLY: 'an automatic reply',
  BOUNCE: 'a failed delivery',
  BULK: 'automatic',
}
/** What waits for me without a question of a person's. */
const WAITS: Partial<Record<MessageView['nature'], string>> = {
  BOUNCE: 'Has to go another way',
  INVITATION: 'Invites you',
}
const waits = computed(() => (message.asksMe ? undefined : WAITS[message.nature]))
const found = computed(() => waits.value ?? (message.asksMe ? 'Asks you' : 'Asks you nothing'))
const why = computed(() => {
  if (waits.value) {
    return message.nature === 'BOUNCE' ? 'it was not delivered' : ''
  }
  const nature = NATURE[message.nature]
  const because = nature && !message.asksMe ? `${nature}: ${message.reading.natureWhy}` : ''
  return [message.reading.asksWhy, because].filter(Boolean).join('; ')
})
const always = computed(() => {
  const who = message.reading.list ? 'this list' : 'this sender'
  return message.asksMe ? `${who} never asks` : `${who} always asks`
})
</script>

<template>
  <p class="mt-1 flex flex-wrap items-center gap-x-2 gap-y-1" data-test="reading">
    <span
      ><b :class="message.asksMe || waits ? 'text-kelp' : ''">{{ found }}</b
      ><template v-if="why">, since {{ why }}</template
      ><template v-if="message.asksMe && message.reading.replyByWhy">
        · by <span class="text-brass-ink">{{ message.reading.replyByWhy }}</span></template
      ></span
    >
    <span class="flex gap-1">
      <button
        class="btn btn-quiet text-ink-soft h-6 gap-1 px-1 text-sm"
        type="button"
        :title="message.asksMe ? 'This message asks me nothing' : 'This message asks me'"
        data-test="wrong"
        @click="emit('wrong', false)"
      >
        wrong <span class="key">W</span>
      </button>
      <button
        class="btn btn-quiet text-ink-soft h-6 gap-1 px-1 text-sm"
        type="button"
        data-test="wrong-always"
        @click="emit('wrong', true)"
      >
        {{ always }} <span class="key">⇧ W</span>
      </button>
    </span>
  </p>
</template>
