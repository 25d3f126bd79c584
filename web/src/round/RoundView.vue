<script setup lang="ts">
import { useMediaQuery } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import type { Done, RoundLine, RoundStep } from '@/api/client'
import { useCategories, useIntake } from '@/api/queries'
import { begin, decideFollowUp, decideMessage, decideThread, goTo } from '@/round/decide'
import { decisions } from '@/round/decisions'
import { useRound, useStep } from '@/round/query'
import RoundEnd from '@/round/RoundEnd.vue'
import { aboutLine, addressOfLine, STEPS } from '@/round/steps'
import view from '@/round/view'
import ActionButtons from '@/ui/ActionButtons.vue'
import CategoryMark from '@/ui/CategoryMark.vue'
import DayPanel from '@/ui/DayPanel.vue'
import { useKeys } from '@/ui/keys'
import KeyHint from '@/ui/KeyHint.vue'
import Loading from '@/ui/Loading.vue'
import Note from '@/ui/Note.vue'
import RowList from '@/ui/RowList.vue'
import { moment, shiftDay, today } from '@/ui/time'
import { usePointed } from '@/ui/usePointed'

/** The weekly walk: a step at a time, one decision a line, each with its way back. */
const ROW = 46

const router = useRouter()
const narrow = useMediaQuery('(max-width: 767px)')
const round = useRound()
const intake = useIntake()
const categories = useCategories()
const step = ref<RoundStep>('INTAKE')
const underWay = computed(() => round.data.value?.underWay === true)
/** Where it was left; from then on this page says where it is. */
watch(
  underWay,
  () => {
    step.value = round.data.value?.step ?? 'INTAKE'
  },
  { immediate: true },
)
const lines = useStep(step)
/** What has just been decided goes at once, so that the next key is about the next line; whether it is answered. */
const gone = ref(new Map<string, boolean>())
const shown = computed(() =>
  (lines.data.value?.lines ?? []).filter((line) => !gone.value.has(line.key)),
)
/** What comes afterwards says itself what is left: a decision that was taken back is there again. */
watch(
  () => lines.dataUpdatedAt.value,
  () => {
    gone.value = new Map([...gone.value].filter(([, answered]) => !answered))
  },
)

async function decided(line: RoundLine, work: Promise<Done | undefined>): Promise<void> {
  gone.value = new Map(gone.value).set(line.key, false)
  if ((await work) === undefined) {
    gone.value = new Map([...gone.value].filter(([key]) => key !== line.key))
  } else {
    gone.value = new Map(gone.value).set(line.key, true)
  }
}
const groups = computed(() => [
  {
    key: step.value,
    title: '',
    rows: shown.value.map((line) => ({ key: line.key, height: ROW, line })),
  },
])
const steps = computed(() => round.data.value?.steps ?? [])
const place = computed(() => steps.value.findIndex((each) => each.step === step.value))
const {
  current,
  pointed,
  step: walk,
} = usePointed(
  () => shown.value,
  (line) => line.key,
)
const at = ref(0)
const choosing = ref(false)
watch(current, (key) => {
  choosing.value = false
  const found = shown.value.findIndex((line) => line.key === key)
  at.value = found < 0 ? at.value : found
})
/** When the line pointed at is decided, the next one moves up to its place. */
watch(
  shown,
  (now) => {
    if (!now.some((line) => line.key === current.value)) {
      current.value = now[Math.min(at.value, now.length - 1)]?.key
    }
  },
  { immediate: true },
)

function go(to: RoundStep | undefined): void {
  if (to && underWay.value) {
    step.value = to
    gone.value = new Map()
    at.value = 0
    current.value = undefined
    void goTo(to)
  }
}

function open(line: RoundLine | undefined): void {
  if (line) {
    void router.push(addressOfLine(line))
  }
}

const actions = computed(() =>
  pointed.value && underWay.value
    ? decisions(pointed.value, step.value, () => (choosing.value = true)).map((each) => ({
        ...view.keys[each.key],
        test: each.test,
        text: each.text,
        run: () => {
          const line = pointed.value
          const work = line && each.run(line)
          if (line && work) {
            void decided(line, work)
          }
        },
      }))
    : [],
)

function chosen(day: string): void {
  const line = pointed.value
  choosing.value = false
  if (line) {
    void decided(
      line,
      line.kind === 'MESSAGE'
        ? decideMessage(line, 'PUT_OFF', day)
        : line.kind === 'THREAD'
          ? decideThread(line, 'NOT_BEFORE', day)
          : decideFollowUp(line, step.value === 'PUT_OFF' ? 'PUT_OFF' : 'REPLY_BY', day),
    )
  }
}

const free = () => !choosing.value
const DECIDING = [
  'stays',
  'followUp',
  'day',
  'done',
  'drop',
  'noReply',
  'close',
  'retire',
  'back',
] as const
useKeys(view.name, [
  {
    ...view.keys.next,
    run: () => {
      walk(1)
    },
    when: free,
  },
  {
    ...view.keys.before,
    run: () => {
      walk(-1)
    },
    when: free,
  },
  {
    ...view.keys.open,
    run: () => {
      open(pointed.value)
    },
    when: () => free() && pointed.value !== undefined,
  },
  {
    ...view.keys.forth,
    run: () => {
      go(steps.value[place.value + 1]?.step)
    },
    when: () => free() && underWay.value,
  },
  {
    ...view.keys.backwards,
    run: () => {
      go(steps.value[place.value - 1]?.step)
    },
    when: () => free() && underWay.value,
  },
  ...DECIDING.map((name) => ({
    ...view.keys[name],
    run: () => actions.value.find((each) => each.does === view.keys[name].does)?.run(),
    when: () => free() && actions.value.some((each) => each.does === view.keys[name].does),
  })),
])
</script>

<template>
  <Loading v-if="round.isPending.value" />
  <Note v-else-if="round.isError.value" title="The round could not be loaded" problem alone>
    <p>{{ round.error.value?.message }} Nothing was changed.</p>
    <button class="btn" type="button" @click="void round.refetch()">Try again</button>
  </Note>
  <Note v-else-if="!underWay" title="The weekly round" alone data-test="round-start">
    <p>
      A walk through everything that is open, a step at a time: what came in, what has no date, who
      waits for you, what you promised, what is late, the meetings behind and ahead. One decision a
      line. It can be left and taken up again at any step.
    </p>
    <p class="text-ink-soft">
      {{
        round.data.value?.lastFinishedAt
          ? `The last one was done ${moment(round.data.value.lastFinishedAt)}.`
          : 'It takes half an hour the first time, and less after that.'
      }}
      {{
        round.data.value?.forgotten === 0
          ? 'Nothing would be forgotten now.'
          : `${round.data.value?.forgotten ?? ''} lines wait for it.`
      }}
    </p>
    <button
      class="btn btn-main max-sm:h-11"
      type="button"
      data-test="round-begin"
      @click="void begin()"
    >
      Begin
    </button>
  </Note>
  <div v-else class="flex h-full flex-col">
    <div class="flex min-h-0 flex-1">
      <nav
        v-if="!narrow"
        class="border-line w-56 shrink-0 overflow-y-auto border-r py-2"
        aria-label="Steps of the round"
      >
        <ol>
          <li v-for="each in steps" :key="each.step">
            <button
              class="flex h-8 w-full items-center gap-2 px-3 text-left"
              :class="
                each.step === step
                  ? 'bg-kelp-wash text-kelp font-semibold'
                  : each.left === 0
                    ? 'text-ink-soft hover:bg-surface'
                    : 'hover:bg-surface'
              "
              type="button"
              :aria-current="each.step === step ? 'step' : undefined"
              :data-test="`step-${each.step}`"
              @click="go(each.step)"
            >
              <span class="min-w-0 flex-1 truncate">{{ STEPS[each.step].name }}</span>
              <span v-if="each.step !== 'AHEAD'" class="text-sm tabular-nums">{{
                each.left === 0 ? 'clear' : each.left
              }}</span>
            </button>
          </li>
        </ol>
      </nav>
      <section class="mx-auto flex min-h-0 w-full max-w-4xl flex-1 flex-col">
        <div class="flex flex-wrap items-baseline gap-x-3 px-3 py-2">
          <h1 class="text-lg font-semibold">{{ STEPS[step].name }}</h1>
          <span class="text-ink-soft text-sm">step {{ place + 1 }} of {{ steps.length }}</span>
          <p class="text-ink-soft w-full">{{ STEPS[step].about }}</p>
        </div>
        <RoundEnd v-if="step === 'AHEAD' && round.data.value" :round="round.data.value" @go="go" />
        <Loading v-else-if="lines.isPending.value" />
        <Note v-else-if="lines.isError.value" title="This step could not be loaded" problem>
          <p>{{ lines.error.value?.message }} Nothing was changed.</p>
          <button class="btn" type="button" @click="void lines.refetch()">Try again</button>
        </Note>
        <div v-else-if="shown.length === 0" class="px-3 py-6" data-test="step-clear">
          <p class="text-kelp font-semibold">{{ STEPS[step].none }}</p>
          <p v-if="(lines.data.value?.kept ?? 0) > 0" class="text-ink-soft">
            {{ lines.data.value?.kept }} stay as they are.
          </p>
        </div>
        <RowList
          v-else
          class="min-h-0 flex-1"
          :label="STEPS[step].name"
          :groups="groups"
          :current="current"
          @choose="(row) => (current = row.key)"
          @go="(key) => (current = key)"
        >
          <template #heading>
            <span class="text-ink-soft text-sm">{{ shown.length }} left</span>
          </template>
          <template #row="{ row, current: isCurrent }">
            <div
              class="border-line flex h-full cursor-pointer items-center gap-2 border-b px-2"
              :class="
                isCurrent ? 'bg-kelp-wash shadow-[inset_3px_0_0_var(--kelp)]' : 'hover:bg-surface'
              "
              data-test="round-line"
              @dblclick="open(row.line)"
            >
              <CategoryMark
                v-if="row.line.categoryId"
                :category="
                  (categories.data.value ?? []).find((each) => each.id === row.line.categoryId)
                "
              />
              <span class="min-w-0 flex-1">
                <bdi class="block truncate font-semibold">{{
                  row.line.name || row.line.what || row.line.who
                }}</bdi>
                <span class="text-ink-soft block truncate text-sm">{{
                  aboutLine(row.line, step)
                }}</span>
              </span>
            </div>
          </template>
        </RowList>
      </section>
    </div>
    <div
      class="border-line-strong bg-surface flex min-h-12 shrink-0 flex-wrap items-center gap-2 border-t px-3 py-2 print:hidden"
      role="group"
      aria-label="Decision"
      data-test="round-bar"
    >
      <DayPanel
        v-if="choosing && pointed"
        :choices="intake.data.value?.quickChoices ?? []"
        :from="step === 'INTAKE' || step === 'UNCHASED' ? shiftDay(today(), 1) : today()"
        @choose="chosen"
        @cancel="choosing = false"
      >
        <b class="block truncate">{{ pointed.name || pointed.who }}</b>
      </DayPanel>
      <template v-else>
        <template v-if="pointed">
          <ActionButtons :group="view.name" :actions="actions" :picked="false" alone />
          <button class="btn btn-quiet h-8 max-sm:h-11" type="button" @click="open(pointed)">
            Open <KeyHint :group="view.name" :does="view.keys.open.does" or="Enter" />
          </button>
        </template>
        <span class="ml-auto flex gap-2">
          <button
            class="btn btn-quiet h-8 max-sm:h-11"
            type="button"
            :disabled="place <= 0"
            @click="go(steps[place - 1]?.step)"
          >
            <span class="key">←</span> Step before
          </button>
          <button
            v-if="step !== 'AHEAD'"
            class="btn h-8 max-sm:h-11"
            :class="shown.length === 0 ? 'btn-main' : ''"
            type="button"
            data-test="round-next"
            @click="go(steps[place + 1]?.step)"
          >
            Next step <span class="key">→</span>
          </button>
        </span>
      </template>
    </div>
  </div>
</template>
