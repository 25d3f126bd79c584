<script setup lang="ts">
import { ArrowLeft } from '@lucide/vue'
import { useMediaQuery } from '@vueuse/core'
import { computed, nextTick, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import type { Done, IntakeLine, IntakeView } from '@/api/client'
import { run } from '@/api/commands'
import {
  fetchMessage,
  queryClient,
  useCategories,
  useColleagues,
  useIntake,
  useMessage,
  useSources,
  useWriters,
} from '@/api/queries'
import DecideMessage from '@/intake/DecideMessage.vue'
import DropTargets from '@/intake/DropTargets.vue'
import EmptyIntake from '@/intake/EmptyIntake.vue'
import IntakeList from '@/intake/IntakeList.vue'
import { inOrder, without } from '@/intake/order'
import { after, foldOf, heapsOf, linesOf, POINTER, rowWith, THUMB } from '@/intake/rows'
import Progress from '@/intake/Progress.vue'
import BulkBar from '@/intake/BulkBar.vue'
import BulkSummary from '@/intake/BulkSummary.vue'
import { noteDecided } from '@/intake/sitting'
import { nearest, takersOf } from '@/intake/takers'
import { useDecisions, type DecideMode } from '@/intake/useDecisions'
import { usePicking } from '@/intake/usePicking'
import Beside from '@/strips/Beside.vue'
import view from '@/intake/view'
import MeetingCard from '@/intake/meeting/MeetingCard.vue'
import MessagePane from '@/message/MessagePane.vue'
import { useKeys } from '@/ui/keys'
import Loading from '@/ui/Loading.vue'
import Note from '@/ui/Note.vue'

const route = useRoute()
const router = useRouter()
const intake = useIntake()
const categories = useCategories()
const sources = useSources()
const writers = useWriters()
const colleagues = useColleagues()
const mine = computed(() => (sources.data.value ?? []).map((source) => source.address))
const wide = useMediaQuery('(min-width: 768px)')
const mode = ref<DecideMode>('decide')
const left = ref(new Set<string>())

const lines = computed(() => inOrder(intake.data.value?.lines ?? [], left.value))
const routeId = computed(() =>
  typeof route.params.id === 'string' && route.params.id ? route.params.id : undefined,
)
const selected = computed(() => routeId.value ?? (wide.value ? lines.value[0]?.id : undefined))
const message = useMessage(selected)

const unfolded = ref(new Set<string>())
const heaps = computed(() =>
  // Where nothing waits at all, the empty Intake says so; empty heaps would only repeat it.
  lines.value.length === 0
    ? []
    : heapsOf(
        lines.value,
        unfolded.value,
        intake.data.value?.counts ?? {},
        wide.value ? POINTER : THUMB,
      ),
)
const rows = computed(() => heaps.value.flatMap((heap) => heap.rows))
const row = computed(() => rowWith(rows.value, selected.value))
const fold = computed(() => (row.value?.kind === 'fold' ? row.value : undefined))
const next = computed(() => after(rows.value, row.value))

watch(selected, () => (mode.value = 'decide'))

function setFolded(line: IntakeLine, folded: boolean): void {
  const name = foldOf(line)
  unfolded.value = folded
    ? new Set([...unfolded.value].filter((each) => each !== name))
    : new Set([...unfolded.value, name])
}

function toggleFold(line: IntakeLine): void {
  setFolded(line, unfolded.value.has(foldOf(line)))
}

/**
 * A fold is decided as one while it is what was looked at: a message that has come to it since, or one of it that was
 * led to, unfolds it.
 */
watch(
  [fold, selected],
  ([now, id], [before]) => {
    const grown =
      before !== undefined &&
      now !== undefined &&
      foldOf(before.first) === foldOf(now.first) &&
      now.lines.some((line) => !before.lines.some((each) => each.id === line.id))
    if (now && (grown || now.key !== id)) {
      setFolded(now.first, false)
    }
  },
  { immediate: true },
)

/** The message after this one is loaded ahead, so that it is there at once. */
watch(next, (id) => {
  if (id) {
    queryClient
      .query({ queryKey: ['message', id], queryFn: () => fetchMessage(id) })
      .catch(() => undefined)
  }
})

function open(id: string | undefined): void {
  void router.push({ name: 'intake', params: { id: id ?? '' } })
}

function step(by: 1 | -1): void {
  const target = rows.value[(row.value ? rows.value.indexOf(row.value) : -1) + by]
  if (target) {
    open(target.key)
  }
}

/** Shows the next message at once; when the decision is refused, the list is loaded again and shows it. */
async function decide(
  call: Parameters<typeof run>[0],
  ids: readonly string[],
): Promise<Done | undefined> {
  const gone = new Set(ids)
  const following = after(rows.value, row.value, gone)
  const openGoes = selected.value !== undefined && gone.has(selected.value)
  queryClient.setQueryData<IntakeView>(['intake'], (view) => view && without(view, gone))
  mode.value = 'decide'
  if (openGoes) {
    open(wide.value ? following : undefined)
  }
  const done = await run(call)
  if (done) {
    noteDecided(done, ids.length)
  }
  return done
}

const decisions = useDecisions({
  selected,
  asksMe: () => message.data.value?.asksMe,
  decide,
})
const {
  picks,
  pickedLines,
  ways,
  pick,
  pickRow,
  pickStep,
  pickAll,
  unpick,
  asked,
  decideAll,
  decideRequest,
  dragged,
  draggedLines,
  dropBeside,
  drag,
  dropOn,
} = usePicking({ lines, rows, row, open, decide })

/** What one decision is for: what is picked, else a fold. */
const several = computed(() =>
  pickedLines.value.length > 0 ? pickedLines.value : (fold.value?.lines ?? []),
)

function skip(): void {
  const id = selected.value
  if (id) {
    const following = next.value
    left.value = new Set([...left.value, id])
    open(wide.value ? following : undefined)
  }
}

/** With a finger: to the right it is followed up, to the left nothing is to be done. */
function swipe(key: string, side: 'left' | 'right'): void {
  const swiped = rows.value.find((each) => each.key === key)
  if (side === 'left' && swiped) {
    void decideAll(
      linesOf(swiped).map((line) => line.id),
      { decision: 'NOTHING', day: null, categoryId: null },
    )
  } else if (swiped) {
    open(key)
    void nextTick(() => (mode.value = 'follow-up'))
  }
}

/** What the thread has already comes before a new one. */
function startFollowUp(): void {
  const known = message.data.value?.followUps.some((each) => each.open && !each.linked)
  mode.value = known ? 'add-to' : 'follow-up'
}

/** Answering is for one message: of a fold it is the one that is shown. */
function answer(): void {
  if (fold.value) {
    setFolded(fold.value.first, false)
  }
  mode.value = 'answer'
}

const unpicked = () => picks.value.ids.size === 0 && asked.value === undefined
const alone = () => unpicked() && fold.value === undefined
const ready = () => alone() && mode.value === 'decide' && message.data.value !== undefined
const incoming = () => ready() && message.data.value?.direction === 'INCOMING'
const undecided = () => ready() && message.data.value?.decision === 'UNDECIDED'
const KEYS = view.keys
const does = (key: (typeof KEYS)[keyof typeof KEYS], run: () => void) => ({ ...key, run })
useKeys(view.name, [
  {
    ...KEYS.answer,
    run: answer,
    when: () => unpicked() && mode.value === 'decide' && message.data.value !== undefined,
  },
  { ...KEYS.followUp, run: startFollowUp, when: ready },
  { ...KEYS.addTo, run: () => (mode.value = 'add-to'), when: ready },
  {
    ...KEYS.nothing,
    run: () => {
      decisions.nothing()
    },
    when: undecided,
  },
  { ...KEYS.always, run: () => (mode.value = 'always'), when: undecided },
  { ...KEYS.handOver, run: () => (mode.value = 'hand-over'), when: ready },
  { ...KEYS.recipes, run: () => (mode.value = 'recipes'), when: undecided },
  { ...KEYS.putOff, run: () => (mode.value = 'put-off'), when: undecided },
  { ...KEYS.skip, run: skip, when: undecided },
  {
    ...KEYS.unfold,
    run: () => {
      if (fold.value) {
        setFolded(fold.value.first, false)
      }
    },
    when: () => fold.value !== undefined,
  },
  {
    ...KEYS.fold,
    run: () => {
      const unfoldedRow = row.value
      if (unfoldedRow) {
        const name = foldOf(unfoldedRow.first)
        setFolded(unfoldedRow.first, true)
        open(lines.value.find((line) => foldOf(line) === name)?.id)
      }
    },
    when: () => row.value?.kind === 'line' && row.value.unfolded,
  },
  does(KEYS.pick, () => {
    pickRow(row.value, 'one')
  }),
  does(KEYS.pickDown, () => {
    pickStep(1)
  }),
  does(KEYS.pickUp, () => {
    pickStep(-1)
  }),
  {
    ...KEYS.wrong,
    run: () => {
      decisions.wrong(false)
    },
    when: incoming,
  },
  {
    ...KEYS.wrongAlways,
    run: () => {
      decisions.wrong(true)
    },
    when: incoming,
  },
  does(KEYS.next, () => {
    step(1)
  }),
  does(KEYS.before, () => {
    step(-1)
  }),
])
</script>

<template>
  <Beside :group="view.name" :dragged="draggedLines" @drop="dropBeside">
    <div class="flex h-full max-md:flex-col">
      <div
        class="border-line w-full flex-col max-md:min-h-0 max-md:flex-1 md:flex md:w-[min(440px,38vw)] md:shrink-0 md:border-r"
        :class="routeId ? 'hidden' : 'flex'"
      >
        <Loading v-if="intake.isPending.value" />
        <Note v-else-if="intake.isError.value" title="Intake could not be loaded" problem>
          <p>{{ intake.error.value?.message }}</p>
          <button class="btn" type="button" @click="void intake.refetch()">Try again</button>
        </Note>
        <template v-else>
          <EmptyIntake
            v-if="lines.length === 0"
            :has-sources="sources.data.value?.length !== 0"
            :put-off="intake.data.value?.putOff.length ?? 0"
          />
          <IntakeList
            v-if="lines.length > 0 || intake.data.value?.putOff.length"
            class="min-h-0 flex-1"
            :heaps="heaps"
            :current="row?.key"
            :picked="picks.ids"
            :put-off="intake.data.value?.putOff ?? []"
            @open="open"
            @pick="pick"
            @pick-all="pickAll"
            @unfold="toggleFold"
            @swiped="swipe"
            @drag="drag"
            @dropped="dragged = []"
          />
          <Progress :left="intake.data.value?.total ?? 0" />
        </template>
      </div>
      <section
        v-if="selected || pickedLines.length"
        class="bg-surface screen-only relative flex min-w-0 flex-col"
        :class="selected ? 'min-h-0 flex-1' : 'shrink-0 md:flex-1'"
        aria-label="Message"
      >
        <DropTargets
          v-if="dragged.length"
          :count="dragged.length"
          :categories="categories.data.value ?? []"
          :choices="intake.data.value?.quickChoices ?? []"
          :people="
            nearest(takersOf(colleagues.data.value ?? [], writers.data.value ?? [], mine), mine)
          "
          @drop="dropOn"
        />
        <div v-if="selected" class="relative min-h-0 flex-1 overflow-auto">
          <button
            v-if="!wide"
            class="btn btn-quiet mt-1 ml-1"
            type="button"
            @click="open(undefined)"
          >
            <ArrowLeft :size="16" aria-hidden="true" /> Intake
          </button>
          <MessagePane
            v-if="message.data.value"
            :key="message.data.value.id"
            :message="message.data.value"
            @wrong="decisions.wrong"
          >
            <template v-if="message.data.value.meeting" #meeting>
              <MeetingCard
                :message="message.data.value"
                :ready="ready()"
                @decide="(call) => void decide(call, [message.data.value?.id ?? ''])"
              />
            </template>
          </MessagePane>
          <Note v-else-if="message.isError.value" title="This message could not be loaded" problem>
            <p>{{ message.error.value?.message }}</p>
            <button class="btn" type="button" @click="void message.refetch()">Try again</button>
          </Note>
          <Loading v-else />
        </div>
        <div
          v-if="message.data.value || several.length"
          class="border-line bg-paper shrink-0 border-t px-3 py-2.5 sm:px-6"
        >
          <BulkBar
            v-if="several.length"
            :picked="several"
            :fold="pickedLines.length ? undefined : fold && (fold.first.room ?? fold.first.about)"
            :ways="ways"
            :categories="categories.data.value ?? []"
            :choices="intake.data.value?.quickChoices ?? []"
            @decide="
              (choice) =>
                void decideAll(
                  several.map((line) => line.id),
                  choice,
                )
            "
            @pick="pickAll"
            @clear="unpick"
            @unfold="fold && setFolded(fold.first, false)"
          />
          <DecideMessage
            v-else-if="message.data.value"
            v-model:mode="mode"
            :message="message.data.value"
            :categories="categories.data.value ?? []"
            :choices="intake.data.value?.quickChoices ?? []"
            :decisions="decisions"
            @skip="skip"
            @start-follow-up="startFollowUp"
          />
        </div>
      </section>
      <BulkSummary
        v-if="asked"
        :preview="asked.preview"
        :request="asked.request"
        :categories="categories.data.value ?? []"
        @confirm="
          () => {
            if (asked) {
              void decideRequest(asked.request)
            }
          }
        "
        @cancel="asked = undefined"
      />
    </div>
  </Beside>
</template>
