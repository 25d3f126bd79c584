<script setup lang="ts">
import { useMediaQuery } from '@vueuse/core'
import { computed, nextTick, ref, useTemplateRef } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import type { DayAhead } from '@/api/client'
import { useAhead, useCategories, useIntake } from '@/api/queries'
import DayColumn from '@/ahead/DayColumn.vue'
import DayEntries from '@/ahead/DayEntries.vue'
import { needed, ordered, type Entry } from '@/ahead/days'
import { verdict, stuck } from '@/ahead/words'
import view from '@/ahead/view'
import { setState } from '@/followups/changes'
import FollowUpSheet from '@/followups/FollowUpSheet.vue'
import MakeItFit from '@/today/MakeItFit.vue'
import { planFor, takeOut } from '@/today/plan'
import DayPanel from '@/ui/DayPanel.vue'
import { effortText } from '@/ui/effort'
import { showUnlessDragging } from '@/ui/heldWhileDragging'
import KeyHint from '@/ui/KeyHint.vue'
import { useKeys } from '@/ui/keys'
import Loading from '@/ui/Loading.vue'
import Note from '@/ui/Note.vue'
import { today } from '@/ui/time'

const SPANS = [5, 10, 20] as const
const NAMES: Record<number, string> = { 5: 'Five', 10: 'Ten', 20: 'Twenty' }

const route = useRoute()
const router = useRouter()
const span = ref<number>(10)
const query = useAhead(span)
const categories = useCategories()
const intake = useIntake()
const ahead = computed(() => query.data.value)
const wide = useMediaQuery('(min-width: 900px)')

/** The days as lists that can be dragged between; the shelf is one without a day. */
const columns = ref<{ day: string; of: DayAhead; entries: Entry[] }[]>([])
const shelf = ref<Entry[]>([])
showUnlessDragging(
  () => ahead.value,
  (now) => {
    columns.value = (now?.days ?? []).map((of) => ({ day: of.day, of, entries: [...of.entries] }))
    shelf.value = (now?.shelf ?? []).map((line) => ({ line }))
  },
)
const mostMinutes = computed(() => Math.max(60, ...(ahead.value?.days ?? []).map(needed)))
const said = computed(() => (ahead.value ? verdict(ahead.value) : undefined))
const perRow = computed(() => Math.min(10, Math.max(5, columns.value.length)))

const all = computed(() =>
  ordered(columns.value, shelf.value).map((each) => ({ ...each, id: each.line.id })),
)
const current = ref<string>()
const pointed = computed(() => all.value.find((each) => each.id === current.value) ?? all.value[0])
const picked = ref(new Set<string>())
const chosen = computed(() => {
  const known = all.value.filter((each) => picked.value.has(each.id))
  return known.length > 0 ? known : pointed.value ? [pointed.value] : []
})
const openId = computed(() =>
  typeof route.params.id === 'string' && route.params.id ? route.params.id : undefined,
)
const board = useTemplateRef<HTMLElement>('board')
const choosing = ref(false)

function openSheet(id: string): void {
  current.value = id
  void router.push({ name: 'ahead', params: { id } })
}

function closeSheet(): void {
  void router.push({ name: 'ahead', params: { id: '' } })
}

async function point(id: string | undefined): Promise<void> {
  current.value = id
  await nextTick()
  board.value?.querySelector<HTMLElement>('[aria-current="true"]')?.focus()
}

function step(by: number): void {
  const at = all.value.findIndex((each) => each.id === pointed.value?.id)
  void point(all.value[Math.min(Math.max(at + by, 0), all.value.length - 1)]?.id)
}

/** To the first of the nearest day beside it that holds something. */
function stepDay(by: -1 | 1): void {
  const from = columns.value.findIndex((column) => column.day === pointed.value?.day)
  for (let at = from + by; at >= 0 && at < columns.value.length; at += by) {
    const first = columns.value[at]?.entries[0]
    if (first) {
      void point(first.line.id)
      return
    }
  }
}

function toggle(id: string): void {
  if (!picked.value.delete(id)) {
    picked.value.add(id)
  }
}

async function moveTo(day: string): Promise<void> {
  const ids = chosen.value.map((each) => each.id)
  choosing.value = false
  picked.value.clear()
  await planFor(ids.map((followUpId) => ({ followUpId, day })))
}

/** Each a working day further, or back, from the day it stands on. */
function shift(by: -1 | 1): void {
  const days = columns.value.map((column) => column.day)
  const wishes = chosen.value.flatMap((each) => {
    const at = each.day === undefined ? (by > 0 ? -1 : 0) : days.indexOf(each.day)
    const day = days[at + by]
    return day === undefined ? [] : [{ followUpId: each.id, day }]
  })
  if (wishes.length > 0) {
    picked.value.clear()
    void planFor(wishes)
  }
}

/** What is dropped on a day is planned for it, with whatever else is picked. */
function dropped(day: string | undefined, id: string): void {
  const ids = picked.value.has(id) ? [...picked.value] : [id]
  picked.value.clear()
  if (day === undefined) {
    void takeOut(ids)
  } else {
    void planFor(ids.map((followUpId) => ({ followUpId, day })))
  }
}

function fit(): void {
  const moves = ahead.value?.moves ?? []
  if (moves.length > 0) {
    void planFor(moves.map((move) => ({ followUpId: move.followUpId, day: move.to })))
  }
}

const free = () => openId.value === undefined && !choosing.value
const withOne = () => free() && pointed.value !== undefined
useKeys(view.name, [
  { ...view.keys.fit, run: fit, when: () => free() && (ahead.value?.moves.length ?? 0) > 0 },
  {
    ...view.keys.toDay,
    run: () => {
      choosing.value = true
    },
    when: withOne,
  },
  {
    ...view.keys.sooner,
    run: () => {
      shift(-1)
    },
    when: withOne,
  },
  {
    ...view.keys.later,
    run: () => {
      shift(1)
    },
    when: withOne,
  },
  {
    ...view.keys.out,
    run: () => {
      void takeOut(chosen.value.map((each) => each.id))
      picked.value.clear()
    },
    when: withOne,
  },
  {
    ...view.keys.done,
    run: () => {
      if (pointed.value) {
        void setState(pointed.value.line, 'DONE')
      }
    },
    when: withOne,
  },
  {
    ...view.keys.pick,
    run: () => {
      if (pointed.value) {
        toggle(pointed.value.id)
      }
    },
    when: withOne,
  },
  {
    ...view.keys.open,
    run: () => {
      if (pointed.value) {
        openSheet(pointed.value.id)
      }
    },
    when: withOne,
  },
  {
    ...view.keys.left,
    run: () => {
      stepDay(-1)
    },
    when: withOne,
  },
  {
    ...view.keys.right,
    run: () => {
      stepDay(1)
    },
    when: withOne,
  },
  {
    ...view.keys.next,
    run: () => {
      step(1)
    },
    when: withOne,
  },
  {
    ...view.keys.before,
    run: () => {
      step(-1)
    },
    when: withOne,
  },
])
</script>

<template>
  <div class="flex h-full flex-col">
    <Loading v-if="query.isPending.value" />
    <Note v-else-if="query.isError.value || !ahead" title="The days could not be loaded" problem>
      <p>{{ query.error.value?.message }}</p>
      <button class="btn" type="button" @click="void query.refetch()">Try again</button>
    </Note>
    <template v-else>
      <div class="shrink-0 px-4 pt-2.5 sm:px-5">
        <div class="flex flex-wrap items-baseline gap-x-3">
          <h1 class="text-xl font-semibold">{{ NAMES[span] }} working days</h1>
          <p class="text-ink-soft">
            {{ effortText(ahead.workMinutes) }} of work, {{ effortText(ahead.roomMinutes) }} free
          </p>
          <span class="ml-auto flex gap-1" role="group" aria-label="How many days">
            <button
              v-for="each in SPANS"
              :key="each"
              type="button"
              class="btn h-7 px-2.5 max-sm:h-11"
              :class="span === each ? 'border-kelp text-kelp bg-kelp-wash' : ''"
              :aria-pressed="span === each"
              @click="span = each"
            >
              {{ each }}
            </button>
          </span>
        </div>
        <p class="mt-0.5 flex flex-wrap items-center gap-x-2 gap-y-1" data-test="verdict">
          <span
            >{{ said?.fits }}
            <strong v-if="said?.tooMuch" class="text-brass-ink">{{ said.tooMuch }}</strong>{{
              said?.tooMuch ? `${said.because}.` : ''
            }}</span
          >
          <MakeItFit v-if="ahead.moves.length > 0" :moves="ahead.moves" :group="view.name" />
          <span v-if="stuck(ahead) !== ''" class="text-ink-soft text-sm">{{ stuck(ahead) }}</span>
        </p>
      </div>
      <div ref="board" class="mt-2 min-h-0 flex-1 overflow-auto px-4 sm:px-5">
        <div
          class="grid min-h-full gap-y-3"
          :style="wide ? { gridTemplateColumns: `repeat(${perRow}, minmax(0, 1fr))` } : undefined"
        >
          <DayColumn
            v-for="column in columns"
            :key="column.day"
            v-model="column.entries"
            :day="column.of"
            :categories="categories.data.value ?? []"
            :current="pointed?.id"
            :picked="picked"
            :wide="wide"
            :most-minutes="mostMinutes"
            :height="columns.length > 10 ? 84 : 132"
            @dropped="(id) => dropped(column.day, id)"
            @open="openSheet"
          />
        </div>
        <div v-if="all.length === 0" class="text-ink-soft py-8 text-center">
          {{ view.about }} Nothing is open; what you follow up in Intake stands here on its day.
          <RouterLink class="underline" to="/intake">Go to Intake</RouterLink>
        </div>
      </div>
      <DayPanel
        v-if="choosing"
        class="bg-surface border-line shrink-0 border-t px-4 py-2 sm:px-5"
        data-test="to-another-day"
        :choices="intake.data.value?.quickChoices ?? []"
        :from="today()"
        @choose="(isoDay) => void moveTo(isoDay)"
        @cancel="choosing = false"
      >
        <p class="mb-1 font-semibold">
          {{ chosen.length === 1 ? `“${chosen[0]?.line.title}”` : `${chosen.length} follow-ups` }}
          to another day
        </p>
      </DayPanel>
      <div
        class="border-line-strong m-3 mt-1 flex shrink-0 flex-wrap items-start gap-x-3 rounded border border-dashed px-3 py-1.5 sm:mx-5"
        data-test="shelf"
      >
        <p class="flex shrink-0 gap-2 py-0.5">
          <strong>Shelf</strong>
          <span class="text-ink-soft">
            {{ shelf.length === 0 ? 'nothing without a day' : `no day yet: ${shelf.length}` }}</span
          >
        </p>
        <DayEntries
          v-model="shelf"
          :categories="categories.data.value ?? []"
          :current="pointed?.id"
          :picked="picked"
          class="flex max-h-16 min-h-6 min-w-0 flex-1 flex-wrap gap-x-4 overflow-auto max-sm:order-last max-sm:basis-full [&>button]:w-auto [&>button]:max-w-64"
          @dropped="(id) => dropped(undefined, id)"
          @open="openSheet"
        />
        <button
          v-if="pointed"
          class="btn h-7 shrink-0 px-2 max-sm:h-11"
          type="button"
          @click="choosing = true"
        >
          To another day <KeyHint :group="view.name" does="To another day" or="t" />
        </button>
      </div>
    </template>
    <FollowUpSheet v-if="openId" :id="openId" :key="openId" @close="closeSheet" />
  </div>
</template>
