<script setup lang="ts">
import type { MessageView } from '@/api/client'
import KeyHint from '@/ui/KeyHint.vue'

/** The decisions about a message, each with its key; of a decided one, what was decided. */
const { message } = defineProps<{ message: MessageView }>()
const emit = defineEmits<{
  answer: []
  followUp: []
  addTo: []
  putOff: []
  nothing: []
  always: []
  skip: []
  handOver: []
  recipes: []
  back: []
}>()

const MAIN = 'btn h-9 px-2.5 sm:h-8'
const MORE = 'btn btn-quiet h-9 px-1.5 sm:h-8'

const DECIDED: Record<MessageView['decision'], string> = {
  UNDECIDED: '',
  FOLLOW_UP: 'Followed up.',
  HANDED_OVER: 'Handed over.',
  ANSWERED: 'Answered.',
  NOTHING: 'Nothing to do.',
  NOT_ASKED: '',
}
</script>

<template>
  <div class="flex flex-wrap items-center gap-x-1.5 gap-y-2" role="group" aria-label="Decision">
    <div class="grid grow grid-cols-3 gap-2 sm:flex sm:grow-0 sm:gap-1.5">
      <button :class="MAIN" type="button" data-test="decide-answer" @click="emit('answer')">
        {{ message.direction === 'OUTGOING' ? 'Write again' : 'Answer' }}
        <KeyHint group="Intake" does="Answer" or="A" />
      </button>
      <button
        :class="[MAIN, 'btn-main']"
        type="button"
        data-test="decide-follow-up"
        @click="emit('followUp')"
      >
        Follow up <KeyHint group="Intake" does="Follow up" or="F" />
      </button>
      <button :class="MAIN" type="button" data-test="decide-hand-over" @click="emit('handOver')">
        Hand over <KeyHint group="Intake" does="Hand over" or="H" />
      </button>
      <template v-if="message.decision === 'UNDECIDED'">
        <button :class="MAIN" type="button" data-test="decide-nothing" @click="emit('nothing')">
          Nothing to do <KeyHint group="Intake" does="Nothing to do" or="N" />
        </button>
        <button
          :class="MAIN"
          type="button"
          data-test="decide-skip"
          title="It goes to the end of its heap for now"
          @click="emit('skip')"
        >
          Skip <KeyHint group="Intake" does="Skip for now" or="S" />
        </button>
      </template>
      <template v-else-if="message.direction === 'INCOMING'">
        <span class="text-ink-soft self-center" data-test="decided">{{
          DECIDED[message.decision]
        }}</span>
        <button :class="MAIN" type="button" @click="emit('back')">Put back in Intake</button>
      </template>
    </div>
    <div class="grid grow grid-cols-2 gap-x-2 sm:flex sm:grow-0 sm:gap-0">
      <button :class="MORE" type="button" data-test="decide-add-to" @click="emit('addTo')">
        Add to … <KeyHint group="Intake" does="Add to a follow-up" or="G" />
      </button>
      <template v-if="message.decision === 'UNDECIDED'">
        <button :class="MORE" type="button" data-test="decide-put-off" @click="emit('putOff')">
          Put off <KeyHint group="Intake" does="Put off" or="P" />
        </button>
        <button :class="MORE" type="button" data-test="decide-recipes" @click="emit('recipes')">
          Recipes <KeyHint group="Intake" does="Recipes" or="R" />
        </button>
        <button
          :class="MORE"
          type="button"
          title="Nothing to do, and everything like it goes past Intake"
          data-test="decide-nothing-always"
          @click="emit('always')"
        >
          Nothing, always … <KeyHint group="Intake" does="Nothing to do, always" or="⇧ N" />
        </button>
      </template>
    </div>
    <span v-if="message.draft" class="text-brass-ink self-center">An answer has been begun.</span>
  </div>
</template>
