<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { ThreadLine } from '@/api/client'
import { CLOSING, type ThreadChoice } from '@/threads/decide'
import view from '@/threads/view'
import { CLOSED_AS } from '@/threads/words'
import ActionButtons from '@/ui/ActionButtons.vue'
import DayPanel from '@/ui/DayPanel.vue'
import { useKeys } from '@/ui/keys'
import { followLetter } from '@/ui/letters'
import { vFocus } from '@/ui/focus'
import { shiftDay, today } from '@/ui/time'

/** What can be decided about the thread that is pointed at, or about all that are picked. */
const { lines, picked, active } = defineProps<{
  lines: readonly ThreadLine[]
  /** Whether they were picked; else it is the one pointed at. */
  picked: boolean
  /** Whether its keys count. */
  active: boolean
}>()
const emit = defineEmits<{ decide: [choice: ThreadChoice]; join: []; clear: [] }>()

const mode = ref<'choose' | 'close' | 'day' | 'mine'>('choose')
const endFollowUps = ref(false)
watch(
  () => lines.map((line) => line.id).join(),
  () => {
    mode.value = 'choose'
    endFollowUps.value = false
  },
)
const followUps = computed(() => lines.reduce((sum, line) => sum + line.followUps, 0))
const closed = computed(() => lines.every((line) => line.turn === 'CLOSED'))
const notMine = computed(() => lines.every((line) => line.attention !== 'MINE'))
const joinable = computed(() => {
  const [first, ...others] = lines
  return (
    picked &&
    first !== undefined &&
    others.length > 0 &&
    others.every((line) => line.channel === first.channel && line.room === first.room)
  )
})
const owing = computed(() => lines.some((line) => line.debts.length))
const waiting = computed(() => lines.some((line) => line.awaited.length))

function decide(choice: ThreadChoice): void {
  mode.value = 'choose'
  emit('decide', choice)
}

/** What can be done, each with its key and its button. */
const actions: readonly {
  key: keyof typeof view.keys
  test: string
  text: () => string
  possible: () => boolean
  run: () => void
}[] = [
  {
    key: 'close',
    test: 'close',
    text: () => 'Close',
    possible: () => !closed.value,
    run: () => (mode.value = 'close'),
  },
  {
    key: 'noReply',
    test: 'no-reply',
    text: () => 'No reply owed',
    possible: () => !closed.value && owing.value,
    run: () => {
      decide({ choice: 'NO_REPLY_OWED' })
    },
  },
  {
    key: 'theirTurn',
    test: 'their-turn',
    text: () => 'It is their turn',
    possible: () => !closed.value && owing.value,
    run: () => {
      decide({ choice: 'THEIR_TURN' })
    },
  },
  {
    key: 'notBefore',
    test: 'not-before',
    text: () => 'Chase not before',
    possible: () => !closed.value && waiting.value,
    run: () => (mode.value = 'day'),
  },
  {
    key: 'notMine',
    test: 'not-mine',
    text: () => 'Not for me',
    possible: () => !closed.value && !notMine.value,
    run: () => (mode.value = 'mine'),
  },
  {
    key: 'openAgain',
    test: 'open-all-again',
    text: () => (notMine.value && !closed.value ? 'It is mine again' : 'Open again'),
    possible: () => closed.value || notMine.value,
    run: () => {
      decide({ choice: 'OPEN_AGAIN' })
    },
  },
  {
    key: 'join',
    test: 'join',
    text: () => 'Join into one',
    possible: () => joinable.value,
    run: () => {
      emit('join')
    },
  },
]
useKeys(
  view.name,
  actions.map((each) => ({
    ...view.keys[each.key],
    run: each.run,
    when: () => active && lines.length > 0 && mode.value === 'choose' && each.possible(),
  })),
)

const shown = computed(() =>
  actions
    .filter((each) => each.possible())
    .map((each) => ({ ...view.keys[each.key], test: each.test, text: each.text(), run: each.run })),
)

/** In what is asked further, a letter is a button there. */
function furtherKey(event: KeyboardEvent): void {
  followLetter(event, event.currentTarget as HTMLElement)
}
</script>

<template>
  <div
    class="border-line-strong bg-surface flex min-h-12 shrink-0 flex-wrap items-center gap-2 border-t px-3 py-2 print:hidden"
    role="group"
    aria-label="Decision"
    data-test="thread-bar"
  >
    <b v-if="picked" class="shrink-0">{{ lines.length }} picked</b>
    <bdi
      v-else-if="mode === 'choose'"
      class="max-w-64 shrink truncate font-semibold max-sm:hidden"
      >{{ lines[0]?.subject }}</bdi
    >
    <ActionButtons
      v-if="mode === 'choose'"
      :group="view.name"
      :actions="shown"
      :picked="picked"
      @clear="emit('clear')"
    />
    <div
      v-else-if="mode === 'close'"
      class="flex flex-wrap items-center gap-2"
      data-test="closing"
      @keydown="furtherKey"
      @keydown.esc.stop="mode = 'choose'"
    >
      <span class="font-semibold">Close as</span>
      <button
        v-for="(each, i) in CLOSING"
        :key="each.reason"
        v-focus="i === 0"
        class="btn h-8 max-sm:h-11"
        :class="i === 0 ? 'btn-main' : ''"
        type="button"
        :data-letter="each.letter"
        :data-test="`bar-close-${each.reason}`"
        @click="decide({ choice: 'CLOSE', reason: each.reason, endFollowUps })"
      >
        {{ CLOSED_AS[each.reason] }} <span class="key">{{ each.letter.toUpperCase() }}</span>
      </button>
      <button
        v-if="followUps"
        class="btn h-8 max-sm:h-11"
        :class="endFollowUps ? 'border-kelp text-kelp bg-kelp-wash' : ''"
        type="button"
        :aria-pressed="endFollowUps"
        data-letter="f"
        data-test="end-follow-ups"
        @click="endFollowUps = !endFollowUps"
      >
        {{ endFollowUps ? '✓ ' : ''
        }}{{ followUps === 1 ? 'its follow-up is done' : `${followUps} follow-ups are done` }}
        <span class="key">F</span>
      </button>
      <button class="btn btn-quiet h-8 max-sm:h-11" type="button" @click="mode = 'choose'">
        Cancel <span class="key">Esc</span>
      </button>
    </div>
    <div
      v-else-if="mode === 'mine'"
      class="flex flex-wrap items-center gap-2"
      data-test="whose"
      @keydown="furtherKey"
      @keydown.esc.stop="mode = 'choose'"
    >
      <button
        v-focus
        class="btn btn-main h-8 max-sm:h-11"
        type="button"
        data-letter="w"
        data-test="watch"
        title="Nothing in it is owed; its messages still come to Intake"
        @click="decide({ choice: 'WATCH' })"
      >
        I only watch it <span class="key">W</span>
      </button>
      <button
        class="btn h-8 max-sm:h-11"
        type="button"
        data-letter="n"
        data-test="never"
        title="Its messages pass by Intake too"
        @click="decide({ choice: 'NOT_MINE' })"
      >
        I need not see it <span class="key">N</span>
      </button>
      <button class="btn btn-quiet h-8 max-sm:h-11" type="button" @click="mode = 'choose'">
        Cancel <span class="key">Esc</span>
      </button>
    </div>
    <DayPanel
      v-else
      :choices="[]"
      :from="shiftDay(today(), 1)"
      @choose="(day) => decide({ choice: 'NOT_BEFORE', day })"
      @cancel="mode = 'choose'"
    >
      <p class="mb-1.5 font-semibold">Nobody is chased there before</p>
    </DayPanel>
  </div>
</template>
