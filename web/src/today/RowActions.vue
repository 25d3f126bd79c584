<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { Problem, type DayEntry } from '@/api/client'
import { addWork, setClock, startInWords, takeOut } from '@/today/plan'
import view from '@/today/view'
import KeyHint from '@/ui/KeyHint.vue'
import { useKeys } from '@/ui/keys'

/** What can be done with the marked follow-up of the day. */
const { entry, day, active } = defineProps<{
  entry: DayEntry
  day: string
  /** Whether its keys count now. */
  active: boolean
}>()
const emit = defineEmits<{ done: []; through: [] }>()

const choosing = ref(false)
const entering = ref(false)
const worked = ref<number>()
const words = ref('')
const wrong = ref('')
const begins = computed(() => entry.at?.slice(0, 5) ?? '')
watch(
  () => [entry.line.id, entry.at] as const,
  () => {
    choosing.value = false
    entering.value = false
  },
)

function choose(): void {
  words.value =
    begins.value === ''
      ? ''
      : `${begins.value}${entry.blockMinutes === null ? '' : ` ${entry.blockMinutes} min`}`
  wrong.value = ''
  choosing.value = true
}

async function take(): Promise<void> {
  wrong.value = ''
  const done = await startInWords(entry.line.id, day, words.value, (problem) => {
    wrong.value = problem instanceof Problem ? (problem.fields.words ?? '') : ''
    return wrong.value !== ''
  })
  if (done) {
    choosing.value = false
  }
}

function enter(): void {
  if (worked.value !== undefined && worked.value >= 1) {
    void addWork(entry.line.id, Math.round(worked.value))
  }
  entering.value = false
  worked.value = undefined
}

const now = () => active && !choosing.value && !entering.value
useKeys(view.name, [
  {
    ...view.keys.done,
    run: () => {
      emit('done')
    },
    when: now,
  },
  {
    ...view.keys.clock,
    run: () => void setClock(entry.line.id, !entry.underWay),
    when: now,
  },
  {
    ...view.keys.worked,
    run: () => {
      entering.value = true
    },
    when: now,
  },
  {
    ...view.keys.time,
    run: choose,
    when: now,
  },
  { ...view.keys.out, run: () => void takeOut([entry.line.id]), when: now },
  {
    ...view.keys.through,
    run: () => {
      emit('through')
    },
    when: now,
  },
])

function focus(element: unknown): void {
  if (element instanceof HTMLElement) {
    element.querySelector('input')?.focus()
  }
}
</script>

<template>
  <div class="flex flex-wrap items-center gap-2" data-test="row-actions">
    <button class="btn h-8 max-sm:h-11" type="button" @click="emit('done')">
      Done <KeyHint :group="view.name" does="Done" or="d" />
    </button>
    <button
      class="btn h-8 max-sm:h-11"
      type="button"
      @click="void setClock(entry.line.id, !entry.underWay)"
    >
      {{ entry.underWay ? 'Stop the clock' : 'Start the clock' }}
      <KeyHint :group="view.name" does="Start or stop the clock" or="w" />
    </button>
    <form
      v-if="entering"
      :ref="focus"
      class="inline-flex items-center gap-2"
      data-keys="own"
      data-test="worked"
      @submit.prevent="enter"
      @keydown.esc.stop="entering = false"
    >
      Worked
      <input
        v-model.number="worked"
        class="field w-20"
        type="number"
        min="1"
        max="1440"
        required
        aria-label="Minutes worked"
      />
      minutes
      <button class="btn h-8 max-sm:h-11" type="submit">Note it</button>
      <button class="btn btn-quiet h-8 max-sm:h-11" type="button" @click="entering = false">
        Cancel <span class="key">Esc</span>
      </button>
    </form>
    <button v-else class="btn h-8 max-sm:h-11" type="button" @click="entering = true">
      Enter time <KeyHint :group="view.name" does="Enter time worked" or="e" />
    </button>
    <form
      v-if="choosing"
      :ref="focus"
      class="inline-flex flex-wrap items-center gap-2"
      data-keys="own"
      data-test="block"
      @submit.prevent="void take()"
      @keydown.esc.stop="choosing = false"
    >
      <input
        v-model="words"
        class="field w-36"
        maxlength="40"
        placeholder="2pm 1h"
        aria-label="When it begins, and for how long"
        :aria-invalid="wrong !== ''"
        data-test="block-words"
      />
      <button class="btn h-8 max-sm:h-11" type="submit">
        {{ words.trim() === '' ? 'No time of its own' : 'Take it' }}
      </button>
      <button class="btn btn-quiet h-8 max-sm:h-11" type="button" @click="choosing = false">
        Cancel <span class="key">Esc</span>
      </button>
      <span v-if="wrong" class="text-rust basis-full text-sm" role="alert">{{ wrong }}</span>
    </form>
    <button v-else class="btn h-8 max-sm:h-11" type="button" @click="choose">
      {{ begins ? `At ${begins}` : 'Give it a time' }}
      <KeyHint :group="view.name" does="Give it a time of its own" or="b" />
    </button>
    <button class="btn h-8 max-sm:h-11" type="button" @click="void takeOut([entry.line.id])">
      Not today <KeyHint :group="view.name" does="Not today" or="x" />
    </button>
    <button class="btn h-8 max-sm:h-11" type="button" @click="emit('through')">
      Work through it <KeyHint :group="view.name" does="Work through it" or="t" />
    </button>
  </div>
</template>
