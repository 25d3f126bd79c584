<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core'
import { computed, nextTick, onBeforeUnmount, onMounted, ref, useTemplateRef, watch } from 'vue'
import type { MessageView } from '@/api/client'
import { useSession, useSources } from '@/api/queries'
import AnswerFiles from '@/intake/AnswerFiles.vue'
import { draftSaver, EMPTY_DRAFT, keepLocally, localDraft } from '@/intake/draft'
import { askOf, elapsed, fieldsOf, filled, withQuote } from '@/intake/fields'
import { useMentions } from '@/intake/mentions'
import PhrasePicker from '@/intake/PhrasePicker.vue'
import { vFocus } from '@/ui/focus'

/**
 * An answer in plain text. What is typed is kept here and on the server with every pause; a small clock shows how long this
 * one is taking.
 */
const { message } = defineProps<{ message: MessageView }>()
const emit = defineEmits<{
  send: [answer: { text: string; toAll: boolean; cc: string[]; bcc: string[] }]
  followUp: []
  cancel: []
}>()

const TWO_MINUTES_MS = 120_000
const session = useSession()
const begunDraft = localDraft(message.id) ?? message.draft ?? EMPTY_DRAFT
const text = ref(begunDraft.text)
const toAll = ref(begunDraft.toAll)
const cc = ref(begunDraft.cc)
const bcc = ref(begunDraft.bcc)
const draft = computed(() => ({
  text: text.value,
  toAll: toAll.value,
  cc: cc.value,
  bcc: bcc.value,
}))
const copies = ref(cc.value + bcc.value !== '')
const ask = askOf(message)
const quoted = ref(message.channel === 'MAIL' && ask !== '')
const field = useTemplateRef<HTMLTextAreaElement>('field')
const saver = draftSaver(message.id)
const sources = useSources()
const mentions = useMentions(
  text,
  field,
  computed(() => {
    const mine = new Set((sources.data.value ?? []).map((source) => source.address))
    return message.channel === 'CHAT'
      ? [message.from, ...message.to].filter(({ address }) => !mine.has(address))
      : []
  }),
)
const { offered, marked } = mentions
const fileCount = ref(message.draftFiles.length)
/** In a chat a file alone is an answer. */
const sayable = computed(
  () => text.value.trim() !== '' || (message.channel === 'CHAT' && fileCount.value > 0),
)
const others = computed(() => message.to.length + message.cc.length > 1)
const recipient = computed(() => message.from.name || message.from.address)
const begun = Date.now()
const now = ref(begun)
const long = computed(() => now.value - begun > TWO_MINUTES_MS)

useIntervalFn(() => {
  now.value = Date.now()
}, 1000)
watch(draft, (value) => {
  saver.save(value)
})
onMounted(() => field.value?.focus())
onBeforeUnmount(() => {
  saver.stop()
})

/** Puts a phrase where the cursor stands; the first field that is still open is selected, to be filled by hand. */
async function take(phrase: string): Promise<void> {
  const words = filled(phrase, fieldsOf(message, session.data.value?.account?.name ?? ''))
  const at = field.value?.selectionStart ?? text.value.length
  const end = field.value?.selectionEnd ?? at
  text.value = text.value.slice(0, at) + words + text.value.slice(end)
  await nextTick()
  const open = /\{\w{1,20}\}/.exec(words)
  field.value?.focus()
  field.value?.setSelectionRange(
    at + (open ? open.index : words.length),
    at + (open ? open.index + open[0].length : words.length),
  )
}

/** Addresses as they are typed: separated by commas, semicolons or spaces. */
function addresses(typed: string): string[] {
  return typed.split(/[\s,;]+/).filter(Boolean)
}

function send(): void {
  if (sayable.value) {
    saver.stop()
    keepLocally(message.id, draft.value)
    emit('send', {
      text: withQuote(text.value, quoted.value ? ask : ''),
      toAll: toAll.value,
      cc: addresses(cc.value),
      bcc: addresses(bcc.value),
    })
  }
}

function onKey(event: KeyboardEvent): void {
  if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) {
    event.preventDefault()
    send()
  } else {
    mentions.onKey(event)
  }
}
</script>

<template>
  <form class="space-y-2" data-test="answer" @submit.prevent="send" @keydown.esc="emit('cancel')">
    <div class="flex items-baseline gap-3">
      <span
        >Answer to <b>{{ recipient }}</b></span
      >
      <span
        class="ml-auto tabular-nums"
        :class="long ? 'text-brass-ink' : 'text-ink-soft'"
        data-test="answer-clock"
        :title="'How long this answer is taking'"
        >{{ elapsed(begun, now) }}</span
      >
      <button
        v-if="long"
        class="text-kelp underline"
        type="button"
        data-test="rather-follow-up"
        @click="emit('followUp')"
      >
        Over two minutes: follow it up instead
      </button>
    </div>
    <label v-if="ask" class="text-ink-soft flex items-center gap-2">
      <input v-model="quoted" type="checkbox" data-test="quote" />
      <span
        class="border-line-strong min-w-0 truncate border-l-2 pl-2"
        :class="quoted ? '' : 'line-through'"
        >{{ ask }}</span
      >
    </label>
    <textarea
      ref="field"
      v-model="text"
      class="field h-32 resize-y p-2 text-[15px] leading-relaxed"
      maxlength="199000"
      :aria-label="`Answer to ${recipient}`"
      @input="mentions.look"
      @click="mentions.look"
      @keydown="onKey"
    />
    <ul
      v-if="offered.length"
      class="border-line bg-surface rounded border"
      role="listbox"
      aria-label="People of this room"
      data-test="mentions"
    >
      <li
        v-for="(person, place) in offered"
        :key="person.address"
        role="option"
        :aria-selected="place === marked"
        class="flex h-9 cursor-pointer items-center gap-2 px-2"
        :class="place === marked ? 'bg-kelp-wash' : ''"
        @mousedown.prevent="void mentions.take(person)"
      >
        <bdi>{{ person.name || person.address }}</bdi>
        <bdi class="text-ink-soft truncate text-sm">{{ person.address }}</bdi>
        <span v-if="place === marked" class="key ml-auto">Enter</span>
      </li>
    </ul>
    <div v-if="copies" class="grid gap-2 sm:grid-cols-2">
      <label
        >Cc
        <input v-model="cc" v-focus class="field" name="cc" placeholder="bo@merrowquay.example" />
      </label>
      <label
        >Bcc, unseen by the others
        <input v-model="bcc" class="field" name="bcc" />
      </label>
    </div>
    <div class="flex flex-wrap items-center gap-x-3 gap-y-2">
      <PhrasePicker @take="(phrase) => void take(phrase)" />
      <AnswerFiles :message="message" @count="(count) => (fileCount = count)" />
      <label v-if="message.channel === 'MAIL' && others" class="flex items-center gap-1.5">
        <input v-model="toAll" type="checkbox" /> to all who got it
      </label>
      <button
        v-if="message.channel === 'MAIL' && !copies"
        class="text-ink-soft hover:text-kelp underline"
        type="button"
        data-test="copies"
        @click="copies = true"
      >
        Copies to …
      </button>
      <span class="text-ink-soft max-lg:hidden">Your text is kept while you write.</span>
      <span class="ml-auto flex gap-2">
        <button class="btn btn-quiet" type="button" @click="emit('cancel')">
          Later <span class="key">Esc</span>
        </button>
        <button class="btn btn-main" type="submit" :disabled="!sayable" data-test="send">
          Send <span class="key">Ctrl Enter</span>
        </button>
      </span>
    </div>
  </form>
</template>
