<script setup lang="ts">
import { CalendarClock, Check, PenLine, Route, Send, Undo2 } from '@lucide/vue'
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue'
import type { DueView } from '@/api/client'
import { useChases, useIntake } from '@/api/queries'
import AnotherWay from '@/threads/round/AnotherWay.vue'
import {
  decideAbout,
  draftAbout,
  keepLetter,
  keptLetter,
  keyOf,
  sendLetter,
} from '@/threads/round/letters'
import { usually } from '@/threads/words'
import DayPanel from '@/ui/DayPanel.vue'
import KeyHint from '@/ui/KeyHint.vue'
import { useKeys } from '@/ui/keys'
import Loading from '@/ui/Loading.vue'
import Note from '@/ui/Note.vue'
import { day, moment, shiftDay, today, workingSpan } from '@/ui/time'

/** Goes through all who are to be chased, a letter each. */
const emit = defineEmits<{ over: []; open: [threadId: string] }>()

const chases = useChases()
const intake = useIntake()
const skipped = ref(new Set<string>())
/** What was decided here and still comes up, since an answer was on its way before. */
const decided = ref(new Set<string>())
const all = computed(() => chases.data.value?.due ?? [])
const left = computed(() =>
  all.value.filter((due) => !skipped.value.has(keyOf(due)) && !decided.value.has(keyOf(due))),
)
watch(all, (now) => {
  const keys = new Set(now.map(keyOf))
  decided.value = new Set([...decided.value].filter((key) => keys.has(key)))
})
/** Whoever is asked about stays until that is decided, whoever comes up meanwhile. */
const asked = ref<string>()
const current = computed(() => left.value.find((due) => keyOf(due) === asked.value))
const seen = ref(0)

const text = ref('')
const drafted = ref('')
/** The threads of which the letter speaks. */
const about = ref<string[]>([])
/** All that were there to choose from when they were chosen. */
let offered: string[] = []
/** Something was answered of which a letter speaks that was written by hand. */
const overtaken = ref(false)
const to = ref<string | null>(null)
/** Whether it goes to them by chat, where there is a room with them alone. */
const byChat = ref(false)
const doing = ref<'reading' | 'editing' | 'day' | 'way'>('reading')
const area = useTemplateRef<HTMLTextAreaElement>('area')
const idsOf = (due: DueView) => due.open.map((each) => each.threadId)
const byHand = () => text.value !== drafted.value

function begin(due: DueView | undefined): void {
  asked.value = due && keyOf(due)
  to.value = null
  byChat.value = false
  doing.value = 'reading'
  offered = due ? idsOf(due) : []
  drafted.value = due?.draft ?? ''
  const kept = due && keptLetter(keyOf(due))
  text.value = kept?.text ?? drafted.value
  const still = offered.filter((id) => kept?.about.includes(id))
  about.value = still.length ? still : offered
  overtaken.value = kept !== undefined && still.length < kept.about.length
}

/** A draft follows what becomes due or is answered meanwhile; what was written by hand stays as it is. */
function follow(due: DueView): void {
  const now = idsOf(due)
  const still = about.value.filter((id) => now.includes(id))
  const fresh = now.filter((id) => !offered.includes(id))
  const gone = still.length < about.value.length
  offered = now
  if (byHand()) {
    about.value = still.length ? still : now
    overtaken.value ||= gone
  } else if (gone || fresh.length) {
    about.value = [...still, ...fresh]
    draftAgain(due)
  }
}

watch(
  left,
  (now) => {
    const due = now.find((each) => keyOf(each) === asked.value)
    if (due) {
      follow(due)
    } else {
      begin(now[0])
    }
  },
  { immediate: true },
)
watch([text, about], () => {
  if (current.value) {
    keepLetter(
      keyOf(current.value),
      byHand() ? { text: text.value, about: about.value } : undefined,
    )
  }
})

function draftAgain(due: DueView): void {
  const key = keyOf(due)
  const before = drafted.value
  void draftAbout(due, about.value).then((draft) => {
    if (asked.value === key && text.value === before) {
      drafted.value = draft
      text.value = draft
    }
  })
}

/** Another choice of what it is about makes another draft; what was written by hand stays. */
function toggle(threadId: string): void {
  const next = about.value.includes(threadId)
    ? about.value.filter((id) => id !== threadId)
    : offered.filter((id) => id === threadId || about.value.includes(id))
  if (current.value && next.length) {
    about.value = next
    draftAgain(current.value)
  }
}

function decide(work: (due: DueView) => Promise<unknown>): void {
  const due = current.value
  if (due) {
    const key = keyOf(due)
    const written = byHand() ? { text: text.value, about: about.value } : undefined
    decided.value.add(key)
    seen.value += 1
    void work(due).then((done) => {
      if (done === undefined) {
        decided.value.delete(key)
        keepLetter(key, written)
      } else {
        keepLetter(key, undefined)
      }
    })
  }
}

const send = () => {
  const threads = about.value
  const [written, another, chat] = [text.value, to.value, byChat.value]
  decide((due) => sendLetter(due, threads, written, another, chat ? due.room : null))
}
const edit = () => {
  doing.value = 'editing'
  void nextTick(() => area.value?.focus())
}
const skip = () => {
  if (current.value) {
    skipped.value.add(keyOf(current.value))
    seen.value += 1
  }
}
const idle = () => current.value !== undefined && doing.value === 'reading'
const GROUP = 'Chase round'
useKeys(GROUP, [
  { key: 'Enter', does: 'Send', run: send, when: idle },
  { key: 'e', does: 'Edit the letter', run: edit, when: idle },
  { key: 'o', does: 'Not yet', run: () => (doing.value = 'day'), when: idle },
  { key: 'w', does: 'Another way', run: () => (doing.value = 'way'), when: idle },
  {
    key: 'a',
    does: 'It was answered',
    run: () => {
      decide((due) => decideAbout(due, { choice: 'CLOSE', reason: 'ANSWERED' }))
    },
    when: idle,
  },
  {
    key: 'g',
    does: 'Give up',
    run: () => {
      decide((due) => decideAbout(due, { choice: 'CLOSE', reason: 'GIVEN_UP' }))
    },
    when: idle,
  },
  { key: 's', does: 'Leave it for now', run: skip, when: idle },
  {
    key: 'Escape',
    does: 'To the threads',
    run: () => {
      emit('over')
    },
    when: () => doing.value === 'reading',
  },
])

const kind = computed(() => {
  const chased = current.value?.chases ?? 0
  return chased === 0 ? 'first reminder' : chased === 1 ? 'second reminder' : 'last reminder'
})
</script>

<template>
  <section
    class="mx-auto w-full max-w-6xl px-3 pb-4"
    data-test="chase-round"
    aria-label="Chase round"
  >
    <div class="mb-2 flex flex-wrap items-baseline gap-x-3">
      <h2 class="text-lg font-semibold">Chase round</h2>
      <p class="text-ink-soft" aria-live="polite">
        <template v-if="left.length">letter {{ seen + 1 }} of {{ seen + left.length }}</template>
        <template v-else>nobody more</template>
      </p>
      <span class="text-ink-soft ml-auto max-sm:hidden"
        >nothing goes to somebody who has answered</span
      >
      <button class="btn btn-quiet h-8 px-2 max-sm:h-11" type="button" @click="emit('over')">
        To the threads <span class="key">Esc</span>
      </button>
    </div>
    <Loading v-if="chases.isPending.value" />
    <Note v-else-if="chases.isError.value" title="The round could not be loaded" problem>
      <p>{{ chases.error.value?.message }}</p>
      <button class="btn" type="button" @click="void chases.refetch()">Try again</button>
    </Note>
    <div v-else-if="current" class="bg-surface border-kelp rounded border" data-test="letter">
      <div class="border-line border-b px-4 py-2">
        <p class="flex flex-wrap items-baseline gap-x-2">
          <span>To</span>
          <b class="wrap-anywhere" data-test="whom"
            ><bdi>{{ to ?? current.name }}</bdi></b
          >
          <span v-if="byChat" class="text-brass-ink">by chat</span>
          <span v-else-if="!to && current.channel === 'MAIL'" class="text-ink-soft wrap-anywhere">{{
            current.party.address
          }}</span>
          <span class="text-brass-ink font-semibold">{{ kind }}</span>
          <span v-if="current.usualMinutes !== null" class="text-ink-soft"
            >answers {{ usually(current.usualMinutes) }}</span
          >
        </p>
        <p v-if="current.exhausted" class="text-rust mt-1">
          Chased {{ current.chases }} times. Another way, somebody else there, or giving up may help
          more than one more letter.
        </p>
        <ul class="mt-1">
          <li
            v-for="each in current.open"
            :key="each.threadId"
            class="flex items-baseline gap-2 py-0.5"
            data-test="asked"
          >
            <input
              v-if="current.open.length > 1"
              :id="`about-${each.threadId}`"
              type="checkbox"
              :checked="about.includes(each.threadId)"
              :aria-label="`The letter speaks of: ${each.what || each.subject}`"
              @change="toggle(each.threadId)"
            />
            <button
              class="min-w-0 flex-1 text-left wrap-anywhere underline-offset-2 hover:underline"
              type="button"
              @click="emit('open', each.threadId)"
            >
              {{ each.what ? `“${each.what}”` : each.subject }}
            </button>
            <span class="text-ink-soft shrink-0 text-sm" :title="moment(each.since)"
              ><template v-if="each.promisedBy">promised for {{ day(each.promisedBy) }}, </template
              >silent for {{ workingSpan(each.silentMinutes)
              }}<template v-if="each.laterThanUsual">, later than usual</template></span
            >
          </li>
        </ul>
      </div>
      <p v-if="overtaken" class="bg-brass-wash px-4 py-1" role="status" data-test="overtaken">
        Something in this letter was answered meanwhile. Read it over before it goes out.
      </p>
      <textarea
        v-if="doing === 'editing'"
        ref="area"
        v-model="text"
        class="block min-h-64 w-full resize-y bg-transparent px-4 py-3"
        aria-label="The letter"
        data-test="letter-text"
        @keydown.esc.stop.prevent="doing = 'reading'"
        @keydown.enter.ctrl.prevent="send"
        @keydown.enter.meta.prevent="send"
      />
      <p
        v-else
        class="min-h-64 px-4 py-3 wrap-anywhere whitespace-pre-wrap"
        data-test="letter-shown"
        @dblclick="edit"
      >
        {{ text }}
      </p>
      <div class="border-line border-t px-4 py-3">
        <DayPanel
          v-if="doing === 'day'"
          :choices="intake.data.value?.quickChoices ?? []"
          :from="shiftDay(today(), 1)"
          @choose="
            (isoDay) => decide((due) => decideAbout(due, { choice: 'NOT_BEFORE', day: isoDay }))
          "
          @cancel="doing = 'reading'"
        >
          <p class="mb-1 font-semibold">Not to be chased before</p>
        </DayPanel>
        <AnotherWay
          v-else-if="doing === 'way'"
          :due="current"
          @choose="
            (address) => {
              to = address
              byChat = false
              doing = 'reading'
            }
          "
          @chat="
            () => {
              to = null
              byChat = true
              doing = 'reading'
            }
          "
          @cancel="doing = 'reading'"
        />
        <div v-else class="flex flex-wrap gap-2">
          <button class="btn btn-main max-sm:h-11" type="button" data-test="send" @click="send">
            <Send :size="15" aria-hidden="true" /> Send
            <span class="key">{{ doing === 'editing' ? 'Ctrl Enter' : 'Enter' }}</span>
          </button>
          <button
            v-if="doing === 'reading'"
            class="btn max-sm:h-11"
            type="button"
            data-test="edit"
            @click="edit"
          >
            <PenLine :size="15" aria-hidden="true" /> Edit
            <KeyHint :group="GROUP" does="Edit the letter" or="e" />
          </button>
          <button v-else class="btn max-sm:h-11" type="button" @click="doing = 'reading'">
            <Undo2 :size="15" aria-hidden="true" /> Done editing <span class="key">Esc</span>
          </button>
          <template v-if="doing === 'reading'">
            <button class="btn max-sm:h-11" type="button" @click="doing = 'day'">
              <CalendarClock :size="15" aria-hidden="true" /> Not yet
              <KeyHint :group="GROUP" does="Not yet" or="o" />
            </button>
            <button
              v-if="current.channel === 'MAIL'"
              class="btn max-sm:h-11"
              type="button"
              @click="doing = 'way'"
            >
              <Route :size="15" aria-hidden="true" /> Another way
              <KeyHint :group="GROUP" does="Another way" or="w" />
            </button>
            <button
              class="btn max-sm:h-11"
              type="button"
              @click="decide((due) => decideAbout(due, { choice: 'CLOSE', reason: 'ANSWERED' }))"
            >
              <Check :size="15" aria-hidden="true" /> It was answered
              <KeyHint :group="GROUP" does="It was answered" or="a" />
            </button>
            <button
              class="btn max-sm:h-11"
              type="button"
              @click="decide((due) => decideAbout(due, { choice: 'CLOSE', reason: 'GIVEN_UP' }))"
            >
              Give up <KeyHint :group="GROUP" does="Give up" or="g" />
            </button>
            <button class="btn btn-quiet max-sm:h-11" type="button" @click="skip">
              Leave it <KeyHint :group="GROUP" does="Leave it for now" or="s" />
            </button>
          </template>
        </div>
      </div>
    </div>
    <p
      v-else
      class="bg-surface border-line rounded border px-4 py-6 text-center"
      data-test="round-over"
    >
      {{ seen ? 'Everybody who is due was looked at.' : 'Nobody is to be chased today.' }}
      <button class="btn btn-main ml-2 max-sm:h-11" type="button" @click="emit('over')">
        To the threads
      </button>
    </p>
    <ol v-if="left.length > 1" class="text-ink-soft mt-3">
      <li
        v-for="due in left.filter((each) => keyOf(each) !== asked).slice(0, 6)"
        :key="keyOf(due)"
        class="border-line flex h-8 items-center gap-3 border-b px-1"
      >
        <b class="max-w-1/2 shrink-0 truncate" :title="due.name"
          ><bdi>{{ due.name }}</bdi></b
        >
        <span class="truncate">{{
          due.open.map((each) => (each.what ? `“${each.what}”` : each.subject)).join(', ')
        }}</span>
        <span class="ml-auto text-sm whitespace-nowrap">{{
          workingSpan(Math.max(...due.open.map((each) => each.silentMinutes)))
        }}</span>
      </li>
      <li v-if="left.length > 7" class="px-1 py-1 text-sm">and {{ left.length - 7 }} more</li>
    </ol>
  </section>
</template>
