<script setup lang="ts">
import { ArrowRightFromLine, CalendarClock, Check, Sun, Trash2 } from '@lucide/vue'
import { computed, ref, watch } from 'vue'
import type { CandidateView, CategoryView, QuickChoice, TodayData } from '@/api/client'
import { useFollowUp } from '@/api/followUpQueries'
import { useMessage } from '@/api/queries'
import { setState } from '@/followups/changes'
import HandOver from '@/intake/HandOver.vue'
import { giveAway, planFor, putOff } from '@/today/plan'
import { reason, standing } from '@/today/words'
import CategoryMark from '@/ui/CategoryMark.vue'
import DayPanel from '@/ui/DayPanel.vue'
import { effortText } from '@/ui/effort'
import KeyHint from '@/ui/KeyHint.vue'
import { useKeys } from '@/ui/keys'
import { day as dayText, shiftDay, today as todayIso } from '@/ui/time'

/** What could be done today comes up one by one, each with its reason; one key each. */
const { today, candidates, categories, choices, into, intoName } = defineProps<{
  today: TodayData
  /** What is asked about, the first first. */
  candidates: readonly CandidateView[]
  categories: readonly CategoryView[]
  choices: readonly QuickChoice[]
  /** The day that something is planned for when it is taken. */
  into: string
  intoName: string
}>()
const emit = defineEmits<{ over: [] }>()

const choosing = ref(false)
/** Somebody else shall do it. */
const givingAway = ref(false)
/** A day after the firm date: it is asked again before that is done. */
const past = ref<string>()
const skipped = ref(new Set<string>())
/** What was decided here and still comes up, since an answer was on its way before. */
const decided = ref(new Set<string>())
watch(
  () => candidates,
  (now) => {
    const ids = new Set(now.map((each) => each.line.id))
    decided.value = new Set([...decided.value].filter((id) => ids.has(id)))
  },
)
const left = computed(() =>
  candidates.filter((each) => !skipped.value.has(each.line.id) && !decided.value.has(each.line.id)),
)
/** What is asked about stays until it is answered, whatever comes up before it meanwhile. */
const asked = ref<string>()
watch(
  left,
  (now) => {
    if (!now.some((each) => each.line.id === asked.value)) {
      asked.value = now[0]?.line.id
      choosing.value = false
      givingAway.value = false
      past.value = undefined
    }
  },
  { immediate: true },
)
const current = computed(() => left.value.find((each) => each.line.id === asked.value))
const next = computed(() => left.value.filter((each) => each.line.id !== asked.value).slice(0, 5))
const source = useFollowUp(() => current.value?.line.id ?? '')
const message = useMessage(() =>
  givingAway.value ? source.data.value?.messages[0]?.messageId : undefined,
)
const sentence = computed(() => {
  const origin = source.data.value?.messages[0]
  return origin ? origin.sentence || origin.snapshot.subject : ''
})
function decide(work: (candidate: CandidateView) => Promise<unknown>): void {
  const candidate = current.value
  if (candidate) {
    decided.value.add(candidate.line.id)
    void work(candidate).then((done) => {
      if (done === undefined) {
        decided.value.delete(candidate.line.id)
      }
    })
  }
}

const take = () => {
  decide(({ line }) => planFor([{ followUpId: line.id, day: into }]))
}
const drop = () => {
  decide(({ line }) => setState(line, 'DROPPED'))
}
const done = () => {
  decide(({ line }) => setState(line, 'DONE'))
}

function handOver(to: Parameters<typeof giveAway>[2]): void {
  const id = message.data.value?.id
  if (id !== undefined) {
    decide(({ line }) => giveAway(line.id, id, to))
  }
}

function skip(): void {
  if (current.value) {
    skipped.value.add(current.value.line.id)
  }
}

function postpone(until: string): void {
  const line = current.value?.line
  if (line?.firm && line.replyDay !== null && until > line.replyDay && past.value !== until) {
    past.value = until
    return
  }
  const sure = past.value === until
  decide((candidate) => putOff(candidate.line, until, sure))
}

const idle = () => current.value !== undefined && !choosing.value && !givingAway.value
const hasMessage = () => (source.data.value?.messages.length ?? 0) > 0
useKeys('Plan the day', [
  { key: 'i', does: 'Into the day', run: take, when: idle },
  {
    key: 'o',
    does: 'Put off',
    run: () => {
      choosing.value = true
    },
    when: idle,
  },
  {
    key: 'h',
    does: 'Hand over',
    run: () => {
      givingAway.value = true
    },
    when: () => idle() && hasMessage(),
  },
  { key: 'd', does: 'Done already', run: done, when: idle },
  { key: 'x', does: 'Drop', run: drop, when: idle },
  { key: 's', does: 'Leave it for now', run: skip, when: idle },
  {
    key: 'Escape',
    does: 'To the day',
    run: () => {
      emit('over')
    },
    when: () => !givingAway.value,
  },
])
</script>

<template>
  <section data-test="plan-the-day" aria-label="Plan the day">
    <div class="mb-2 flex flex-wrap items-baseline gap-x-3">
      <h2 class="text-lg font-semibold">
        {{ intoName === 'today' ? 'Plan the day' : 'Before the day ends' }}
      </h2>
      <p class="text-ink-soft" aria-live="polite">
        {{
          left.length === 0
            ? 'nothing more'
            : left.length === 1
              ? 'one to look at'
              : `${left.length} to look at`
        }}
        · {{ standing(today)
        }}<span v-if="today.overMinutes > 0" class="text-brass-ink font-semibold"
          >, {{ effortText(today.overMinutes) }} too much</span
        >
      </p>
      <button
        class="btn btn-quiet ml-auto h-8 px-2 max-sm:h-11"
        type="button"
        @click="emit('over')"
      >
        To the day <span class="key">Esc</span>
      </button>
    </div>
    <div
      v-if="current"
      class="bg-surface border-kelp rounded border px-4 py-3"
      data-test="candidate"
    >
      <div class="flex items-baseline gap-3">
        <CategoryMark :category="categories.find((each) => each.id === current?.line.categoryId)" />
        <h3 class="min-w-0 text-lg font-semibold wrap-anywhere">{{ current.line.title }}</h3>
        <span class="text-ink-soft ml-auto whitespace-nowrap">{{
          effortText(current.minutes)
        }}</span>
      </div>
      <p class="mt-1">
        <span
          :class="
            current.why === 'LATE_FIRM'
              ? 'text-rust font-semibold'
              : current.why === 'DUE_LATER' || current.why === 'UNDATED'
                ? 'text-ink-soft'
                : 'text-brass-ink font-semibold'
          "
          data-test="reason"
          >{{ reason(current) }}</span
        >
        <span v-if="current.line.from" class="text-ink-soft">
          · <bdi>{{ current.line.from }}</bdi></span
        >
        <span v-if="sentence" class="text-ink-soft">: “{{ sentence }}”</span>
      </p>
      <DayPanel
        v-if="choosing"
        class="mt-3"
        :choices="choices"
        :from="shiftDay(todayIso(), 1)"
        @choose="postpone"
        @cancel="choosing = false"
      >
        <p v-if="past" class="text-rust mb-1" role="alert">
          It is firm for {{ dayText(current.line.replyDay ?? '') }}. Choose {{ dayText(past) }} once
          more to put it off all the same, or another day.
        </p>
        <p v-else class="mb-1 font-semibold">Out of sight until</p>
      </DayPanel>
      <HandOver
        v-else-if="givingAway && message.data.value"
        class="mt-3"
        :message="message.data.value"
        @give="handOver"
        @cancel="givingAway = false"
      />
      <div v-else class="mt-3 flex flex-wrap gap-2">
        <button class="btn btn-main max-sm:h-11" type="button" data-test="into" @click="take">
          <Sun :size="15" aria-hidden="true" />
          {{ intoName === 'today' ? 'Into the day' : `On ${intoName}` }}
          <KeyHint group="Plan the day" does="Into the day" or="i" />
        </button>
        <button class="btn max-sm:h-11" type="button" @click="choosing = true">
          <CalendarClock :size="15" aria-hidden="true" /> Put off
          <KeyHint group="Plan the day" does="Put off" or="o" />
        </button>
        <button
          v-if="hasMessage()"
          class="btn max-sm:h-11"
          type="button"
          data-test="give-away"
          @click="givingAway = true"
        >
          <ArrowRightFromLine :size="15" aria-hidden="true" /> Hand over
          <KeyHint group="Plan the day" does="Hand over" or="h" />
        </button>
        <button class="btn max-sm:h-11" type="button" @click="done">
          <Check :size="15" aria-hidden="true" /> Done already
          <KeyHint group="Plan the day" does="Done already" or="d" />
        </button>
        <button class="btn max-sm:h-11" type="button" @click="drop">
          <Trash2 :size="15" aria-hidden="true" /> Drop
          <KeyHint group="Plan the day" does="Drop" or="x" />
        </button>
        <button class="btn btn-quiet max-sm:h-11" type="button" @click="skip">
          Leave it <KeyHint group="Plan the day" does="Leave it for now" or="s" />
        </button>
      </div>
    </div>
    <p
      v-else
      class="bg-surface border-line rounded border px-4 py-6 text-center"
      data-test="planned"
    >
      Everything was looked at.
      <button class="btn btn-main ml-2 max-sm:h-11" type="button" @click="emit('over')">
        To the day
      </button>
    </p>
    <ol v-if="next.length > 0" class="text-ink-soft mt-3">
      <li
        v-for="each in next"
        :key="each.line.id"
        class="border-line flex h-8 items-center gap-3 border-b px-1"
      >
        <span class="truncate">{{ each.line.title }}</span>
        <span class="ml-auto text-sm whitespace-nowrap">{{ reason(each) }}</span>
      </li>
      <li v-if="left.length > 6" class="px-1 py-1 text-sm">and {{ left.length - 6 }} more</li>
    </ol>
  </section>
</template>
