<script setup lang="ts">
import type { MessageView } from '@/api/client'

/** The decisions about a message, each with its key; of a decided one, what was decided. */
const { message } = defineProps<{ message: MessageView }>()
const emit = defineEmits<{
  answer: []
  followUp: []
  addTo: []
  putOff: []
  nothing: [always: boolean]
  leave: []
  back: []
}>()

const DECIDED: Record<MessageView['decision'], string> = {
  UNDECIDED: '',
  FOLLOW_UP: 'Followed up.',
  ANSWERED: 'Answered.',
  NOTHING: 'Nothing to do.',
  NOT_ASKED: '',
}
</script>

<template>
  <div class="grid grid-cols-2 gap-2 sm:flex" role="group" aria-label="Decision">
    <button class="btn h-9 sm:h-8" type="button" data-test="decide-answer" @click="emit('answer')">
      {{ message.direction === 'OUTGOING' ? 'Write again' : 'Answer' }} <span class="key">A</span>
    </button>
    <button
      class="btn btn-main h-9 sm:h-8"
      type="button"
      data-test="decide-follow-up"
      @click="emit('followUp')"
    >
      Follow up <span class="key">F</span>
    </button>
    <button class="btn h-9 sm:h-8" type="button" data-test="decide-add-to" @click="emit('addTo')">
      Add to … <span class="key">G</span>
    </button>
    <template v-if="message.decision === 'UNDECIDED'">
      <button
        class="btn h-9 sm:h-8"
        type="button"
        data-test="decide-nothing"
        @click="emit('nothing', false)"
      >
        Nothing to do <span class="key">N</span>
      </button>
      <button
        class="btn btn-quiet h-9 px-2 max-sm:order-last sm:h-8"
        type="button"
        :title="`Nothing to do, and everything from ${message.reading.list ? 'this list' : 'this sender'} goes past Intake`"
        data-test="decide-nothing-always"
        @click="emit('nothing', true)"
      >
        always <span class="key">⇧ N</span>
      </button>
      <button
        class="btn h-9 sm:h-8"
        type="button"
        data-test="decide-put-off"
        @click="emit('putOff')"
      >
        Put off <span class="key">P</span>
      </button>
      <button class="btn h-9 sm:h-8" type="button" data-test="decide-leave" @click="emit('leave')">
        Leave <span class="key">L</span>
      </button>
    </template>
    <template v-else-if="message.direction === 'INCOMING'">
      <span class="text-ink-soft self-center" data-test="decided">{{
        DECIDED[message.decision]
      }}</span>
      <button class="btn h-9 sm:h-8" type="button" @click="emit('back')">Put back in Intake</button>
    </template>
    <span v-if="message.draft" class="text-brass-ink self-center">An answer has been begun.</span>
  </div>
</template>
