<script setup lang="ts">
import { useElementSize, useMediaQuery, useNow } from '@vueuse/core'
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue'
import { VueDraggable } from 'vue-draggable-plus'
import { useRoute, useRouter } from 'vue-router'
import type { Band, CandidateView, DayEntry } from '@/api/client'
import { useCategories, useIntake, useSources, useToday } from '@/api/queries'
import { setState } from '@/followups/changes'
import FollowUpSheet from '@/followups/FollowUpSheet.vue'
import { BANDS, banded, stepped, type Bands } from '@/today/bands'
import DayGauge from '@/today/DayGauge.vue'
import DayRow from '@/today/DayRow.vue'
import { minuteOf } from '@/today/gauge'
import MakeItFit from '@/today/MakeItFit.vue'
import { order, planFor } from '@/today/plan'
import DayOut from '@/today/DayOut.vue'
import OpenElsewhere from '@/today/OpenElsewhere.vue'
import PlanTheDay from '@/today/PlanTheDay.vue'
import TalksAhead from '@/today/TalksAhead.vue'
import RowActions from '@/today/RowActions.vue'
import { reason, standing } from '@/today/words'
import { usePlacing } from '@/today/usePlacing'
import view from '@/today/view'
import { dragBegan, showUnlessDragging } from '@/ui/heldWhileDragging'
import { useAccountCalendar } from '@/ui/accountCalendar'
import CategoryMark from '@/ui/CategoryMark.vue'
import { effortText } from '@/ui/effort'
import KeyHint from '@/ui/KeyHint.vue'
import { useKeys } from '@/ui/keys'
import Loading from '@/ui/Loading.vue'
import Note from '@/ui/Note.vue'
import { day as dayText, shortMoment } from '@/ui/time'

const route = useRoute()
const router = useRouter()
const query = useToday()
const categories = useCategories()
const intake = useIntake()
const sources = useSources()
const today = computed(() => query.data.value)
const bands = ref<Bands>(banded([]))
showUnlessDragging(
  () => today.value?.entries,
  (entries) => {
    bands.value = banded(entries ?? [])
  },
)
const entries = computed(() => BANDS.flatMap(({ band }) => bands.value[band]))
const ticking = useNow({ interval: 20_000 })
const at = computed(() => new Date(ticking.value.getTime() + useAccountCalendar().aheadMs))
const isOver = computed(
  () =>
    today.value?.to != null &&
    minuteOf(shortMoment(at.value.toISOString(), at.value)) >= minuteOf(today.value.to),
)

/** What is being asked about, if anything: what could be done today, or what is left of it. */
const asking = ref<'plan' | 'left'>()
const leftOver = computed<CandidateView[]>(() =>
  entries.value.map((entry) => ({
    line: entry.line,
    why: 'LEFT_OVER',
    day: today.value?.day ?? null,
    meeting: null,
    who: null,
    minutes: entry.minutesLeft,
  })),
)

const current = ref<string>()
const place = computed(() =>
  Math.max(
    0,
    entries.value.findIndex((entry) => entry.line.id === current.value),
  ),
)
const pointed = computed(() => entries.value[place.value])
const openId = computed(() =>
  typeof route.params.id === 'string' && route.params.id ? route.params.id : undefined,
)
const list = useTemplateRef<HTMLElement>('list')

function openSheet(id: string): void {
  current.value = id
  void router.push({ name: 'today', params: { id } })
}

/** One follow-up after the other with its source beside it; the next one comes by itself. */
const through = ref(false)
function closeSheet(): void {
  through.value = false
  void router.push({ name: 'today', params: { id: '' } })
}

function workThrough(): void {
  const first = pointed.value
  if (first) {
    through.value = true
    openSheet(first.line.id)
  }
}

watch(
  () => today.value?.entries,
  (now, before) => {
    const id = openId.value
    if (!through.value || id === undefined || now?.some((entry) => entry.line.id === id)) {
      return
    }
    const at = before?.findIndex((entry) => entry.line.id === id) ?? -1
    const next = now?.[Math.max(0, Math.min(at, now.length - 1))]
    if (next) {
      openSheet(next.line.id)
    } else {
      closeSheet()
    }
  },
)

async function step(by: number): Promise<void> {
  const target = Math.min(Math.max(place.value + by, 0), entries.value.length - 1)
  current.value = entries.value[target]?.line.id
  await nextTick()
  list.value?.querySelector<HTMLElement>('[aria-current="true"]')?.focus()
}

async function done(entry: DayEntry): Promise<void> {
  const following = entries.value[place.value + 1] ?? entries.value[place.value - 1]
  if (current.value === entry.line.id) {
    current.value = following?.line.id
  }
  await setState(entry.line, 'DONE')
}

function moveBy(by: -1 | 1): void {
  const entry = pointed.value
  const wanted = entry && stepped(bands.value, entry.line.id, by)
  if (entry && wanted && today.value) {
    current.value = entry.line.id
    void order(today.value.day, wanted.band, wanted.inOrder)
  }
}

const { placeAt, dropOnGauge } = usePlacing(today, useTemplateRef('dayGauge'))

/** What was dropped somewhere stands there by hand. */
function dropped(band: Band): void {
  if (today.value) {
    void order(
      today.value.day,
      band,
      bands.value[band].map((entry) => entry.line.id),
    )
  }
}

function fit(): void {
  const moves = today.value?.moves ?? []
  if (moves.length > 0) {
    void planFor(moves.map((move) => ({ followUpId: move.followUpId, day: move.to })))
  }
}

function minutesOf(band: Band): string {
  return effortText(bands.value[band].reduce((sum, entry) => sum + entry.minutesLeft, 0))
}

const categoryOf = (id: string | null) => categories.data.value?.find((each) => each.id === id)

const withPlans = () => asking.value === undefined && openId.value === undefined
const withRow = () => withPlans() && pointed.value !== undefined
function onRow(work: (entry: DayEntry) => void): () => void {
  return () => {
    if (pointed.value) {
      work(pointed.value)
    }
  }
}
useKeys(view.name, [
  {
    ...view.keys.plan,
    run: () => {
      asking.value = 'plan'
    },
    when: withPlans,
  },
  { ...view.keys.fit, run: fit, when: () => withPlans() && (today.value?.moves.length ?? 0) > 0 },
  {
    ...view.keys.open,
    run: onRow((entry) => {
      openSheet(entry.line.id)
    }),
    when: withRow,
  },
  {
    ...view.keys.earlier,
    run: () => {
      moveBy(-1)
    },
    when: withRow,
  },
  {
    ...view.keys.later,
    run: () => {
      moveBy(1)
    },
    when: withRow,
  },
  { ...view.keys.next, run: () => void step(1), when: withRow },
  { ...view.keys.before, run: () => void step(-1), when: withRow },
])

const wide = useMediaQuery('(min-width: 1000px)')
const side = useTemplateRef<HTMLElement>('side')
const { height } = useElementSize(side)
const gaugeHeight = computed(() =>
  wide.value ? Math.max(320, Math.min(620, height.value - 110)) : 420,
)
</script>

<template>
  <div class="h-full overflow-auto lg:flex">
    <Loading v-if="query.isPending.value" />
    <Note v-else-if="query.isError.value || !today" title="The day could not be loaded" problem>
      <p>{{ query.error.value?.message }}</p>
      <button class="btn" type="button" @click="void query.refetch()">Try again</button>
    </Note>
    <template v-else>
      <div class="min-w-0 flex-1 px-4 py-3 sm:px-6">
        <div class="flex flex-wrap items-baseline gap-x-3">
          <h1 class="text-xl font-semibold">{{ dayText(today.day) }}</h1>
          <p class="text-ink-soft">
            {{ entries.length === 0 ? 'nothing planned' : `${entries.length} planned`
            }}<template v-if="today.done.length > 0">, {{ today.done.length }} done</template
            ><template v-if="today.meetings.length > 0"
              >,
              {{
                today.meetings.length === 1 ? 'one meeting' : `${today.meetings.length} meetings`
              }}</template
            >
          </p>
          <DayOut :today="today" />
          <OpenElsewhere :chases="today.toBeChased" :promises="today.promisesPressing" />
        </div>
        <TalksAhead v-if="!asking" />
        <PlanTheDay
          v-if="asking"
          :key="asking"
          class="mt-3"
          :today="today"
          :candidates="asking === 'plan' ? today.candidates : leftOver"
          :categories="categories.data.value ?? []"
          :choices="intake.data.value?.quickChoices ?? []"
          :into="asking === 'plan' ? today.day : today.nextDay"
          :into-name="asking === 'plan' ? 'today' : dayText(today.nextDay)"
          @over="asking = undefined"
        />
        <template v-else>
          <p class="mt-0.5 flex flex-wrap items-center gap-x-2 gap-y-1" data-test="standing">
            <span
              >{{ standing(today)
              }}<template v-if="today.overMinutes > 0"
                >:
                <strong class="text-brass-ink"
                  >{{ effortText(today.overMinutes) }} too much.</strong
                ></template
              ></span
            >
            <MakeItFit v-if="today.moves.length > 0" :moves="today.moves" :group="view.name" />
            <span v-if="today.stuckMinutes > 0" class="text-ink-soft"
              >{{ today.moves.length > 0 ? 'Even then ' : ''
              }}{{ effortText(today.stuckMinutes) }} cannot move without passing its reply-by
              date.</span
            >
          </p>
          <div
            v-if="isOver && entries.length > 0"
            class="bg-brass-wash mt-3 flex flex-wrap items-center gap-3 rounded px-3 py-2"
            data-test="day-is-over"
          >
            The working day is over and
            {{ entries.length === 1 ? 'one is' : `${entries.length} are` }} left.
            <button class="btn h-8 max-sm:h-11" type="button" @click="asking = 'left'">
              Say what becomes of {{ entries.length === 1 ? 'it' : 'them' }}
            </button>
          </div>
          <div ref="list" class="mt-3">
            <section v-for="{ band, name } in BANDS" :key="band" :data-band="band">
              <template v-if="entries.length > 0">
                <h2 class="border-line flex h-8 items-end gap-2 border-b pb-0.5">
                  <span class="font-semibold">{{ name }}</span>
                  <span
                    v-if="band === 'NOW' && bands[band].length === 0"
                    class="text-ink-soft text-sm max-sm:hidden"
                    >Shift and ↑, or dragging, puts here what comes first</span
                  >
                  <span v-if="bands[band].length > 0" class="text-ink-soft text-sm">{{
                    minutesOf(band)
                  }}</span>
                </h2>
                <VueDraggable
                  v-model="bands[band]"
                  group="day"
                  handle=".handle"
                  :animation="120"
                  :force-fallback="true"
                  :fallback-tolerance="3"
                  class="min-h-2 pb-2"
                  @add="dropped(band)"
                  @update="dropped(band)"
                  @start="dragBegan"
                  @end="dropOnGauge"
                >
                  <DayRow
                    v-for="entry in bands[band]"
                    :key="entry.line.id"
                    :entry="entry"
                    :category="categoryOf(entry.line.categoryId)"
                    :current="entry.line.id === pointed?.line.id"
                    :data-entry="entry.line.id"
                    data-test="entry"
                    @done="void done(entry)"
                    @open="openSheet(entry.line.id)"
                  />
                </VueDraggable>
              </template>
            </section>
          </div>
          <RowActions
            v-if="pointed"
            class="mt-1"
            :entry="pointed"
            :day="today.day"
            :active="withRow()"
            @done="void done(pointed)"
            @through="workThrough"
          />
          <div
            class="flex flex-wrap items-center gap-x-3 gap-y-1"
            :class="pointed ? 'mt-4' : 'mt-1'"
          >
            <button
              v-if="today.candidates.length > 0"
              class="btn max-sm:h-11"
              :class="entries.length === 0 ? 'btn-main' : ''"
              type="button"
              data-test="plan"
              @click="asking = 'plan'"
            >
              Plan the day <KeyHint :group="view.name" does="Plan the day" or="p" />
            </button>
            <p class="text-ink-soft">
              <template v-if="today.candidates.length === 0 && entries.length === 0"
                >Nothing is open. What you follow up in Intake comes up here.
                <RouterLink
                  v-if="sources.data.value?.length === 0"
                  class="underline"
                  to="/settings/sources"
                  >Connect your mail, chat and calendars first</RouterLink
                ><RouterLink v-else class="underline" to="/intake"
                  >Go to Intake</RouterLink
                ></template
              >
              <template v-else-if="today.candidates.length === 0">Nothing else is open.</template>
              <template v-else
                >{{ today.candidates.length }} {{ entries.length > 0 ? 'more ' : '' }}could be done
                today<template v-if="today.pressing > 0"
                  >,
                  <strong class="text-brass-ink">{{ today.pressing }}</strong>
                  {{ today.pressing === 1 ? 'presses' : 'press' }}</template
                >.</template
              >
            </p>
          </div>
          <ol v-if="entries.length === 0" class="text-ink-soft mt-3" data-test="could-be-done">
            <li
              v-for="each in today.candidates.slice(0, 12)"
              :key="each.line.id"
              class="border-line flex h-8 items-center gap-3 border-b px-1"
            >
              <span class="w-7 shrink-0"
                ><CategoryMark :category="categoryOf(each.line.categoryId)"
              /></span>
              <span class="text-ink truncate">{{ each.line.title }}</span>
              <span class="ml-auto text-sm whitespace-nowrap">{{ reason(each) }}</span>
            </li>
          </ol>
        </template>
      </div>
      <aside
        ref="side"
        class="border-line shrink-0 px-4 py-3 max-lg:border-t lg:w-[416px] lg:border-l"
        aria-label="The day and what it still holds"
      >
        <h2 class="mb-2 font-semibold">The day, and what it still holds</h2>
        <DayGauge
          v-if="today.from"
          ref="dayGauge"
          :today="today"
          :categories="categories.data.value ?? []"
          :at="at"
          :height="gaugeHeight"
          @place="placeAt"
        />
        <p v-else class="text-ink-soft">No work is planned for today: {{ today.off }}.</p>
      </aside>
    </template>
    <FollowUpSheet v-if="openId" :id="openId" :key="openId" @close="closeSheet" />
  </div>
</template>
