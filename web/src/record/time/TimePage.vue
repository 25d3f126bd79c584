<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import type { SpentLine } from '@/api/client'
import { useCategories, useIntake, useRunningClock } from '@/api/queries'
import { saveFile } from '@/files/saveFile'
import FollowUpFinder from '@/lists/FollowUpFinder.vue'
import OutMenu from '@/lists/OutMenu.vue'
import RecordHeading from '@/record/RecordHeading.vue'
import { correct, removeTime, type WorkedTime } from '@/record/time/changes'
import { timeFile, timeQuery, timeWishIn, useSpent, type TimeWish } from '@/record/time/query'
import TimeForm from '@/record/time/TimeForm.vue'
import TimePeriod from '@/record/time/TimePeriod.vue'
import TimeWishesPanel from '@/record/time/TimeWishesPanel.vue'
import { amountText, hours, spentText, tableOf, timesText } from '@/record/time/words'
import view from '@/record/view'
import { addWork, setClock } from '@/today/plan'
import CategoryMark from '@/ui/CategoryMark.vue'
import History from '@/ui/History.vue'
import KeyHint from '@/ui/KeyHint.vue'
import { useKeys } from '@/ui/keys'
import Loading from '@/ui/Loading.vue'
import Note from '@/ui/Note.vue'
import RowList from '@/ui/RowList.vue'
import { day, today } from '@/ui/time'
import { usePointed } from '@/ui/usePointed'

/** The time that was spent: by day, category, person or follow-up, put right where it was not so, and billed. */
const ROW = 34

const route = useRoute()
const router = useRouter()
const wish = computed(() => timeWishIn(route.query))
const spent = useSpent(wish)
const running = useRunningClock()
const categories = useCategories()
const intake = useIntake()
const choices = computed(() => intake.data.value?.quickChoices ?? [])
const form = ref<'correct' | 'add' | 'find'>()
const traced = ref(false)
const addTo = ref<{ id: string; title: string }>()

const groups = computed(() =>
  (spent.data.value?.groups ?? []).map((group) => ({
    key: group.key,
    title: group.title,
    group,
    rows: group.lines.map((line) => ({
      key: `${line.day} ${line.stints.join()}`,
      height: ROW,
      line,
    })),
  })),
)
const lines = computed(() => groups.value.flatMap((group) => group.rows))
const {
  current,
  pointed: pointedRow,
  step,
} = usePointed(
  () => lines.value,
  (each) => each.key,
)
const pointed = computed(() => pointedRow.value?.line)
const single = computed(() =>
  pointed.value?.stints.length === 1 ? pointed.value.stints[0] : undefined,
)
watch(current, () => {
  form.value = undefined
  traced.value = false
})

function set(changed: Partial<TimeWish>): void {
  void router.replace({ query: timeQuery({ ...wish.value, ...changed }) })
}

function open(line: SpentLine | undefined): void {
  if (line) {
    void router.push({ name: 'follow-ups', params: { id: line.followUpId } })
  }
}

function startOf(line: SpentLine): WorkedTime {
  return { day: line.from.slice(0, 10), from: line.from.slice(11, 16), minutes: line.minutes }
}

function more(): void {
  addTo.value = pointed.value
    ? { id: pointed.value.followUpId, title: pointed.value.title }
    : undefined
  form.value = addTo.value ? 'add' : 'find'
}

async function keep(time: WorkedTime): Promise<void> {
  const done =
    form.value === 'correct' && single.value
      ? await correct(single.value, time)
      : addTo.value
        ? await addWork(addTo.value.id, time.minutes, time)
        : undefined
  if (done) {
    form.value = undefined
  }
}

const idle = () => form.value === undefined
useKeys(view.name, [
  {
    ...view.keys.next,
    run: () => {
      step(1)
    },
    when: idle,
  },
  {
    ...view.keys.before,
    run: () => {
      step(-1)
    },
    when: idle,
  },
  {
    ...view.keys.open,
    run: () => {
      open(pointed.value)
    },
    when: () => idle() && pointed.value !== undefined,
  },
  {
    ...view.keys.correct,
    run: () => (form.value = 'correct'),
    when: () => idle() && single.value !== undefined,
  },
  {
    ...view.keys.remove,
    run: () => void (single.value && removeTime(single.value)),
    when: () => idle() && single.value !== undefined,
  },
  { ...view.keys.add, run: more, when: idle },
  { ...view.keys.paper, run: () => void saveFile(timeFile(wish.value, 'pdf'), 'time.pdf') },
])
</script>

<template>
  <div class="flex h-full flex-col">
    <div
      class="mx-auto flex w-full max-w-5xl shrink-0 flex-wrap items-center gap-x-2 gap-y-1.5 px-3 py-2"
    >
      <RecordHeading />
      <TimePeriod :wish="wish" @set="set" />
      <span class="ml-auto flex gap-1.5 print:hidden">
        <TimeWishesPanel />
        <OutMenu
          v-if="spent.data.value && lines.length > 0"
          :list="() => tableOf(spent.data.value!)"
        >
          <div class="flex gap-2">
            <button
              class="btn"
              type="button"
              data-test="time-pdf"
              @click="void saveFile(timeFile(wish, 'pdf'), 'time.pdf')"
            >
              Report as PDF
            </button>
            <button
              class="btn"
              type="button"
              data-test="time-csv"
              @click="void saveFile(timeFile(wish, 'csv'), 'time.csv')"
            >
              For billing (CSV)
            </button>
          </div>
        </OutMenu>
      </span>
    </div>
    <div
      v-if="running.data.value?.clock"
      class="bg-kelp-wash mx-auto flex w-full max-w-5xl shrink-0 flex-wrap items-center gap-2 rounded px-3 py-1.5 print:hidden"
      data-test="clock-runs"
    >
      <span class="min-w-0 truncate"
        >Working at <b>{{ running.data.value.clock.title }}</b>,
        {{ hours(running.data.value.clock.minutes) }} so far</span
      >
      <button
        class="btn ml-auto h-8 max-sm:h-11"
        type="button"
        @click="void setClock(running.data.value.clock.followUpId, false)"
      >
        Stop
      </button>
    </div>
    <Loading v-if="spent.isPending.value" />
    <Note v-else-if="spent.isError.value" title="The time could not be loaded" problem>
      <p>{{ spent.error.value?.message }}</p>
      <button class="btn" type="button" @click="void spent.refetch()">Try again</button>
    </Note>
    <Note v-else-if="lines.length === 0" title="No time was spent in these days">
      <p>
        Start and stop the clock at a follow-up in Today, or write down here what you worked at.
      </p>
      <button class="btn" type="button" data-test="time-add-first" @click="more">
        Write some down <KeyHint :group="view.name" :does="view.keys.add.does" or="A" />
      </button>
    </Note>
    <RowList
      v-else
      class="mx-auto min-h-0 w-full max-w-5xl flex-1"
      label="Time spent"
      :groups="groups"
      :current="current"
      @choose="(row) => (current = row.key)"
      @go="(key) => (current = key)"
    >
      <template #heading="{ group }">
        <span class="flex w-full items-baseline gap-3">
          <span class="min-w-0 truncate font-semibold">{{ group.title }}</span>
          <span class="ml-auto shrink-0 font-semibold tabular-nums">{{
            spentText(group.group)
          }}</span>
          <span v-if="spent.data.value?.amount !== null" class="w-28 shrink-0 text-right">{{
            amountText(group.group.amount, spent.data.value?.currency ?? '')
          }}</span>
        </span>
      </template>
      <template #row="{ row, current: isCurrent }">
        <div
          class="border-line flex h-full cursor-pointer items-center gap-3 border-b px-2.5"
          :class="
            isCurrent ? 'bg-kelp-wash shadow-[inset_3px_0_0_var(--kelp)]' : 'hover:bg-surface'
          "
          data-test="spent"
          @dblclick="open(row.line)"
        >
          <span class="w-8 shrink-0"
            ><CategoryMark
              :category="
                (categories.data.value ?? []).find((each) => each.id === row.line.categoryId)
              "
          /></span>
          <span v-if="wish.by !== 'DAY'" class="text-ink-soft w-24 shrink-0 truncate">{{
            day(row.line.day)
          }}</span>
          <span class="text-ink-soft w-28 shrink-0 tabular-nums max-sm:w-24">{{
            timesText(row.line)
          }}</span>
          <span class="min-w-0 flex-1 truncate">{{ row.line.title }}</span>
          <span v-if="row.line.corrected" class="text-brass-ink shrink-0 text-sm">corrected</span>
          <bdi class="text-ink-soft max-w-40 truncate max-sm:hidden">{{ row.line.person }}</bdi>
          <span class="shrink-0 text-right tabular-nums">{{ spentText(row.line) }}</span>
          <span v-if="spent.data.value?.amount !== null" class="w-28 shrink-0 text-right">{{
            amountText(row.line.amount, spent.data.value?.currency ?? '')
          }}</span>
        </div>
      </template>
      <template #after>
        <p
          class="border-line-strong flex items-baseline gap-3 border-t-2 px-2.5 py-2 font-semibold"
          data-test="time-sum"
        >
          <span>Together</span>
          <span class="ml-auto tabular-nums">{{ spentText(spent.data.value!) }}</span>
          <span v-if="spent.data.value?.amount !== null" class="w-28 text-right">{{
            amountText(spent.data.value!.amount, spent.data.value!.currency)
          }}</span>
        </p>
      </template>
    </RowList>
    <div
      v-if="lines.length > 0 || form"
      class="border-line-strong bg-surface flex min-h-12 shrink-0 flex-wrap items-center gap-2 border-t px-3 py-2 print:hidden"
      role="group"
      aria-label="The time pointed at"
      data-test="time-bar"
    >
      <FollowUpFinder
        v-if="form === 'find'"
        class="w-full"
        @take="
          (line) => {
            addTo = line
            form = 'add'
          }
        "
        @close="form = undefined"
      />
      <template v-else-if="form === 'correct' && pointed">
        <b class="max-w-64 truncate">{{ pointed.title }}</b>
        <TimeForm
          :start="startOf(pointed)"
          :choices="choices"
          keep="It was so"
          @keep="(time) => void keep(time)"
          @close="form = undefined"
        />
      </template>
      <template v-else-if="form === 'add' && addTo">
        <b class="max-w-64 truncate">{{ addTo.title }}</b>
        <TimeForm
          :start="{ day: pointed?.day ?? today(), from: '09:00', minutes: 0 }"
          :choices="choices"
          keep="Write it down"
          @keep="(time) => void keep(time)"
          @close="form = undefined"
        />
      </template>
      <template v-else>
        <template v-if="pointed">
          <button class="btn h-8 max-sm:h-11" type="button" @click="open(pointed)">
            Open <KeyHint :group="view.name" :does="view.keys.open.does" or="Enter" />
          </button>
          <template v-if="single">
            <button
              class="btn h-8 max-sm:h-11"
              type="button"
              data-test="time-correct"
              @click="form = 'correct'"
            >
              Correct <KeyHint :group="view.name" :does="view.keys.correct.does" or="C" />
            </button>
            <button
              class="btn h-8 max-sm:h-11"
              type="button"
              data-test="time-remove"
              @click="void removeTime(single)"
            >
              It was not so <KeyHint :group="view.name" :does="view.keys.remove.does" or="X" />
            </button>
            <button class="btn h-8 max-sm:h-11" type="button" @click="traced = !traced">
              Its changes
            </button>
          </template>
          <span v-else class="text-ink-soft text-sm"
            >Several times of a day, taken together by the rounding: choose “each time” there to
            correct one.</span
          >
        </template>
        <button class="btn h-8 max-sm:h-11" type="button" data-test="time-add" @click="more">
          {{ pointed ? 'More time at it' : 'Write some down' }}
          <KeyHint :group="view.name" :does="view.keys.add.does" or="A" />
        </button>
        <button
          v-if="pointed"
          class="btn btn-quiet h-8 max-sm:h-11"
          type="button"
          @click="
            () => {
              form = 'find'
            }
          "
        >
          At another one …
        </button>
      </template>
      <div v-if="traced && single" class="w-full"><History :subject-id="single" /></div>
    </div>
  </div>
</template>
