<script setup lang="ts">
import { computed, onMounted, ref, useTemplateRef, watch } from 'vue'
import type { MessageView } from '@/api/client'
import { useFollowUps } from '@/api/followUpQueries'
import { useColleagues, useIntake, useSession, useSources, useWriters } from '@/api/queries'
import { peopleOf } from '@/followups/details/people'
import { EMPTY_DRAFT, forgetLocally, keepLocally, localDraft } from '@/intake/draft'
import { askOf } from '@/intake/fields'
import { found, takersOf, whyNot, type Taker } from '@/intake/takers'
import DayPart from '@/ui/DayPart.vue'
import { replyBy } from '@/ui/time'

/** Hands a message over by mail, with a word of mine, the ask and its date; the thread then waits for whoever got it. */
const { message, count = 1 } = defineProps<{
  /** The message; absent where several are handed over. */
  message?: MessageView
  count?: number
}>()
const emit = defineEmits<{
  give: [to: { name: string; address: string; text: string; wantedDay: string | null }]
  cancel: []
}>()

const session = useSession()
const followUps = useFollowUps()
const writers = useWriters()
const colleagues = useColleagues()
const sources = useSources()
const kept = `${message?.id ?? 'several'}.hand-over`
const to = ref('')
const chosen = ref<Taker>()
const text = ref(localDraft(kept)?.text ?? proposed(''))
const touched = ref(localDraft(kept) !== undefined)
/** By when I want it: where somebody waits for it, by when they do. */
const wanted = ref(message?.proposal.firm ? message.proposal.replyBy : null)
const intake = useIntake()
const field = useTemplateRef<HTMLInputElement>('field')
const mine = computed(() => (sources.data.value ?? []).map((source) => source.address))
const takers = computed(() =>
  takersOf(
    colleagues.data.value ?? [],
    [
      ...(message?.cc ?? []),
      ...(message?.to ?? []),
      ...(writers.data.value ?? []),
      ...peopleOf(followUps.data.value?.open ?? []),
    ],
    mine.value,
  ),
)
const offered = computed(() => (chosen.value ? [] : found(takers.value, to.value)))
const problem = ref('')
const address = computed(() => chosen.value?.address ?? to.value.trim())
const usable = computed(() => /^[^\s@]+@[^\s@]+$/.test(address.value))

function proposed(name: string): string {
  const ask = message ? askOf(message) : ''
  const by = message?.proposal.firm
    ? ` An answer is wanted by ${replyBy(message.proposal.replyBy, message.proposal.replyTime)}.`
    : ''
  const me = session.data.value?.account?.name ?? ''
  return `Hello${name === '' ? '' : ` ${name}`},\n\ncould you take this over, please?${ask === '' ? '' : ` It says: “${ask}”`}${by}\n\nThank you\n${me}`
}

watch([chosen, session.data], () => {
  if (!touched.value) {
    text.value = proposed((chosen.value?.name ?? '').split(' ')[0] ?? '')
  }
})
onMounted(() => field.value?.focus())

function onText(value: string): void {
  touched.value = true
  text.value = value
  keepLocally(kept, { ...EMPTY_DRAFT, text: value })
}

function choose(taker: Taker): void {
  problem.value = taker.lacks
  if (taker.lacks === '') {
    chosen.value = taker
    to.value = taker.name || taker.address
  }
}

function give(): void {
  problem.value = ''
  if (!usable.value) {
    if (offered.value[0] && to.value.trim() !== '') {
      choose(offered.value[0])
    } else {
      problem.value = whyNot(to.value)
    }
  } else if (text.value.trim() === '') {
    problem.value = 'Say a word with it: an empty mail puzzles whoever gets it.'
  } else {
    forgetLocally(kept)
    emit('give', {
      name: chosen.value?.name ?? '',
      address: address.value,
      text: text.value,
      wantedDay: wanted.value,
    })
  }
}
</script>

<template>
  <form
    class="space-y-2"
    data-test="hand-over"
    @submit.prevent="give"
    @keydown.esc="emit('cancel')"
  >
    <div class="relative flex flex-wrap items-center gap-2">
      <label for="hand-over-to" class="font-semibold"
        >Hand {{ count === 1 ? '' : `all ${count} ` }}over to</label
      >
      <input
        id="hand-over-to"
        ref="field"
        v-model="to"
        class="field w-72 max-w-full"
        maxlength="320"
        placeholder="A name or a mail address"
        autocomplete="off"
        data-test="hand-over-to"
        :aria-describedby="problem ? 'hand-over-problem' : undefined"
        @input="((chosen = undefined), (problem = ''))"
      />
      <button
        v-for="person in offered"
        :key="person.name + person.address"
        type="button"
        class="part"
        :title="person.address || person.lacks"
        @click="choose(person)"
      >
        {{ person.name || person.address }}
      </button>
    </div>
    <p v-if="problem" id="hand-over-problem" class="text-rust" role="alert">{{ problem }}</p>
    <textarea
      class="field h-32 resize-y p-2 leading-relaxed"
      maxlength="20000"
      aria-label="What is said with it"
      :value="text"
      @input="(event) => onText((event.target as HTMLTextAreaElement).value)"
      @keydown.ctrl.enter.prevent="give"
      @keydown.meta.enter.prevent="give"
    />
    <div v-if="count === 1" class="flex flex-wrap items-center gap-2">
      <span>I want it by</span>
      <DayPart
        v-model="wanted"
        none="no day"
        test="wanted-day"
        :choices="intake.data.value?.quickChoices ?? []"
      />
    </div>
    <div class="flex flex-wrap items-center gap-2">
      <span class="text-ink-soft"
        >{{ count === 1 ? 'The message goes with it.' : 'Each goes with its message.' }} The thread
        waits for their answer; you owe none meanwhile.</span
      >
      <span class="ml-auto flex gap-2">
        <button class="btn btn-quiet" type="button" @click="emit('cancel')">
          Cancel <span class="key">Esc</span>
        </button>
        <button class="btn btn-main" type="submit" data-test="hand-over-give">
          Hand over <span class="key">Enter</span>
        </button>
      </span>
    </div>
  </form>
</template>
