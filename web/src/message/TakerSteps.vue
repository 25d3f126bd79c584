<script setup lang="ts">
import { computed, ref } from 'vue'
import { useIntake } from '@/api/queries'
import { accept, decline, done, isOpen, working, type HandOverState } from '@/message/handOver'
import { vFocus } from '@/ui/focus'
import DayPart from '@/ui/DayPart.vue'

/** What I can say to something that was handed over to me: by when, that I am at it, what came of it, or that I cannot. */
const { messageId, state, wantedDay } = defineProps<{
  messageId: string
  state: HandOverState
  wantedDay: string | null
}>()

const intake = useIntake()
const day = ref(wantedDay)
const withFollowUp = ref(true)
const saying = ref<'no' | 'done'>()
const word = ref('')
const fresh = computed(() => state === 'OFFERED' || state === 'SEEN')

async function say(): Promise<void> {
  const said =
    saying.value === 'done'
      ? await done(messageId, word.value)
      : await decline(messageId, word.value)
  if (said) {
    saying.value = undefined
    word.value = ''
  }
}
</script>

<template>
  <form
    v-if="saying"
    class="flex flex-wrap items-center gap-2"
    @submit.prevent="void say()"
    @keydown.esc.stop="saying = undefined"
  >
    <input
      v-model="word"
      v-focus
      class="field w-full sm:w-72"
      maxlength="2000"
      :placeholder="saying === 'done' ? 'What came of it, in a word' : 'Why, in a word'"
      :aria-label="saying === 'done' ? 'What came of it' : 'Why not'"
      data-test="taker-word"
    />
    <button class="btn btn-main h-7 max-sm:h-11" type="submit" data-test="taker-say">
      {{ saying === 'done' ? 'It is done' : 'Decline' }}
    </button>
    <button class="btn btn-quiet h-7 max-sm:h-11" type="button" @click="saying = undefined">
      Cancel
    </button>
  </form>
  <div v-else-if="isOpen(state)" class="flex flex-wrap items-center gap-2">
    <template v-if="fresh">
      <span class="text-ink-soft">for</span>
      <DayPart
        v-model="day"
        none="no day yet"
        test="their-day"
        :choices="intake.data.value?.quickChoices ?? []"
      />
      <label class="flex items-center gap-1.5">
        <input v-model="withFollowUp" type="checkbox" data-test="accept-with-follow-up" />
        with a follow-up
      </label>
      <button
        class="btn btn-main h-7 max-sm:h-11"
        type="button"
        data-test="accept-hand-over"
        @click="void accept(messageId, day, withFollowUp)"
      >
        Accept
      </button>
    </template>
    <template v-else>
      <button
        v-if="state === 'ACCEPTED'"
        class="btn h-7 max-sm:h-11"
        type="button"
        data-test="working"
        @click="void working(messageId)"
      >
        I am at it
      </button>
      <button
        class="btn btn-main h-7 max-sm:h-11"
        type="button"
        data-test="hand-over-done"
        @click="saying = 'done'"
      >
        Done
      </button>
    </template>
    <button
      class="btn h-7 max-sm:h-11"
      type="button"
      data-test="decline-hand-over"
      @click="saying = 'no'"
    >
      {{ fresh ? 'Decline' : 'Give back' }}
    </button>
  </div>
</template>
