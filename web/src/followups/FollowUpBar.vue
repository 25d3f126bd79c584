<script setup lang="ts">
import { computed, ref, useId, watch } from 'vue'
import type { CategoryView, FollowUpChoice, FollowUpLine, QuickChoice } from '@/api/client'
import { NOTHING_SAID } from '@/followups/changes'
import view from '@/followups/view'
import ActionButtons from '@/ui/ActionButtons.vue'
import CategoryMark from '@/ui/CategoryMark.vue'
import DayPanel from '@/ui/DayPanel.vue'
import { vFocus } from '@/ui/focus'
import { useKeys } from '@/ui/keys'
import { followLetter } from '@/ui/letters'
import { shiftDay, today } from '@/ui/time'

/** What can be decided about the follow-up that is pointed at, or about all that are picked. */
const { lines, picked, active, categories, choices, places, people } = defineProps<{
  lines: readonly FollowUpLine[]
  /** Whether they were picked; else it is the one pointed at. */
  picked: boolean
  /** Whether its keys count. */
  active: boolean
  categories: readonly CategoryView[]
  choices: readonly QuickChoice[]
  /** Where something is to be done already. */
  places: readonly string[]
  /** Whom something concerns already. */
  people: readonly { name: string; address: string }[]
}>()
const emit = defineEmits<{
  decide: [choice: Omit<FollowUpChoice, 'ids'>]
  clear: []
}>()

type Mode =
  'choose' | 'putOff' | 'replyBy' | 'category' | 'priority' | 'place' | 'person' | 'effort'
const mode = ref<Mode>('choose')
const typed = ref('')
/** A day after a firm date: it is asked again before that is done. */
const past = ref<string>()
const listId = useId()
watch(
  () => lines.map((line) => line.id).join(),
  () => {
    mode.value = 'choose'
  },
)
watch(mode, () => {
  typed.value = ''
  past.value = undefined
})

function decide(kind: FollowUpChoice['kind'], said: Partial<FollowUpChoice> = {}): void {
  mode.value = 'choose'
  emit('decide', { ...NOTHING_SAID, kind, ...said })
}

function putOff(day: string): void {
  const firm = lines.some((line) => line.firm && line.replyDay !== null && day > line.replyDay)
  if (firm && past.value !== day) {
    past.value = day
  } else {
    decide('PUT_OFF', { day, past: firm })
  }
}

function say(): void {
  if (mode.value === 'place') {
    decide('PLACE', { place: typed.value })
  } else if (mode.value === 'person') {
    const known = people.find(
      (each) => each.name.toLowerCase() === typed.value.trim().toLowerCase(),
    )
    decide(
      'PERSON',
      typed.value.trim() === ''
        ? {}
        : { personName: typed.value.trim(), personAddress: known?.address ?? '' },
    )
  } else {
    const minutes = Number.parseInt(typed.value, 10)
    decide('EFFORT', { minutes: minutes > 0 ? minutes : null })
  }
}

const actions: readonly {
  key:
    'done' | 'drop' | 'putOff' | 'replyBy' | 'category' | 'priority' | 'place' | 'person' | 'effort'
  text: string
  run: () => void
}[] = [
  {
    key: 'done',
    text: 'Done',
    run: () => {
      decide('DONE')
    },
  },
  { key: 'putOff', text: 'Put off', run: () => (mode.value = 'putOff') },
  { key: 'replyBy', text: 'Reply by', run: () => (mode.value = 'replyBy') },
  { key: 'category', text: 'Category', run: () => (mode.value = 'category') },
  { key: 'priority', text: 'Priority', run: () => (mode.value = 'priority') },
  { key: 'person', text: 'With', run: () => (mode.value = 'person') },
  { key: 'place', text: 'Place', run: () => (mode.value = 'place') },
  { key: 'effort', text: 'Minutes', run: () => (mode.value = 'effort') },
  {
    key: 'drop',
    text: 'Drop',
    run: () => {
      decide('DROP')
    },
  },
]
const open = computed(() => lines.some((line) => line.state === 'OPEN'))
useKeys(
  view.name,
  actions
    // Of one that has ended the list itself knows what its key does.
    .map((each) => ({
      ...view.keys[each.key],
      run: each.run,
      when: () => active && open.value && mode.value === 'choose',
    })),
)

const shown = actions.map((each) => ({
  ...view.keys[each.key],
  test: `bar-${each.key}`,
  text: each.text,
  run: each.run,
}))

/** In what is asked further, a letter is a button there. */
function furtherKey(event: KeyboardEvent): void {
  followLetter(event, event.currentTarget as HTMLElement)
}

const ASKED: Partial<Record<Mode, string>> = {
  place: 'To be done at',
  person: 'With',
  effort: 'Minutes it takes',
}
</script>

<template>
  <div
    class="border-line-strong bg-surface flex min-h-12 shrink-0 flex-wrap items-center gap-2 border-t px-3 py-2 print:hidden"
    role="group"
    aria-label="Decision"
    data-test="follow-up-bar"
    @keydown.esc="mode === 'choose' || ($event.stopPropagation(), (mode = 'choose'))"
  >
    <b v-if="picked" class="shrink-0">{{ lines.length }} picked</b>
    <ActionButtons
      v-if="mode === 'choose'"
      :group="view.name"
      :actions="shown"
      :picked="picked"
      @clear="emit('clear')"
    />
    <div
      v-else-if="mode === 'priority'"
      class="flex flex-wrap items-center gap-2"
      data-test="bar-priorities"
      @keydown="furtherKey"
    >
      <span class="font-semibold">Priority</span>
      <button
        v-for="(each, i) in [
          { priority: 'HIGH', text: 'High', letter: 'h' },
          { priority: 'NORMAL', text: 'Normal', letter: 'n' },
          { priority: 'LOW', text: 'Low', letter: 'l' },
        ] as const"
        :key="each.priority"
        v-focus="i === 0"
        class="btn h-8 max-sm:h-11"
        type="button"
        :data-letter="each.letter"
        @click="decide('PRIORITY', { priority: each.priority })"
      >
        {{ each.text }} <span class="key">{{ each.letter.toUpperCase() }}</span>
      </button>
    </div>
    <div
      v-else-if="mode === 'category'"
      class="flex flex-wrap items-center gap-2"
      data-test="bar-categories"
      @keydown="furtherKey"
    >
      <span class="font-semibold">Category</span>
      <button
        v-for="(each, i) in categories"
        :key="each.id"
        v-focus="i === 0"
        class="btn h-8 max-sm:h-11"
        type="button"
        :data-letter="i < 9 ? String(i + 1) : undefined"
        @click="decide('CATEGORY', { categoryId: each.id })"
      >
        <CategoryMark :category="each" /> {{ each.name }}
        <span v-if="i < 9" class="key">{{ i + 1 }}</span>
      </button>
      <button class="btn h-8 max-sm:h-11" type="button" data-letter="0" @click="decide('CATEGORY')">
        None <span class="key">0</span>
      </button>
    </div>
    <DayPanel
      v-else-if="mode === 'putOff' || mode === 'replyBy'"
      :choices="choices"
      :from="shiftDay(today(), mode === 'putOff' ? 1 : 0)"
      @choose="(day) => (mode === 'putOff' ? putOff(day) : decide('REPLY_BY', { day }))"
      @cancel="mode = 'choose'"
    >
      <p v-if="past" class="text-rust mb-1.5" role="alert">
        That is after a firm date. Choose the day once more to put it off all the same.
      </p>
      <p v-else class="mb-1.5 flex items-center gap-3">
        <b>{{ mode === 'putOff' ? 'Out of sight until' : 'Reply by' }}</b>
        <button
          v-if="mode === 'replyBy'"
          class="btn btn-quiet h-7 px-2 max-sm:h-11"
          type="button"
          @click="decide('REPLY_BY')"
        >
          Without a date
        </button>
      </p>
    </DayPanel>
    <form v-else class="flex flex-wrap items-center gap-2" @submit.prevent="say">
      <label class="font-semibold" :for="`${listId}-field`">{{ ASKED[mode] }}</label>
      <input
        :id="`${listId}-field`"
        v-model="typed"
        v-focus
        class="field w-56"
        :inputmode="mode === 'effort' ? 'numeric' : 'text'"
        :maxlength="mode === 'effort' ? 4 : 60"
        :list="mode === 'effort' ? undefined : listId"
        :placeholder="
          mode === 'place'
            ? 'nothing for anywhere'
            : mode === 'person'
              ? 'nothing for nobody'
              : 'nothing for not estimated'
        "
        autocomplete="off"
        data-test="bar-field"
      />
      <datalist :id="listId">
        <option
          v-for="each in mode === 'place' ? places : people.map((one) => one.name)"
          :key="each"
          :value="each"
        />
      </datalist>
      <button class="btn btn-main h-8 max-sm:h-11" type="submit">
        Set <span class="key">Enter</span>
      </button>
    </form>
    <button
      v-if="!['choose', 'putOff', 'replyBy'].includes(mode)"
      class="btn btn-quiet h-8 max-sm:h-11"
      type="button"
      @click="mode = 'choose'"
    >
      Cancel <span class="key">Esc</span>
    </button>
  </div>
</template>
