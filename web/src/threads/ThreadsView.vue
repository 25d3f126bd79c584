<script setup lang="ts">
import { useStorage } from '@vueuse/core'
import { computed, nextTick, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import type { ThreadGrouping, Turn } from '@/api/client'
import { useCategories, useThreads } from '@/api/queries'
import { decideThreads, type ThreadChoice } from '@/threads/decide'
import ChaseRound from '@/threads/round/ChaseRound.vue'
import { rowsOf, type ThreadRow } from '@/threads/rows'
import ThreadBar from '@/threads/ThreadBar.vue'
import ThreadSheet from '@/threads/ThreadSheet.vue'
import ThreadTable from '@/threads/ThreadTable.vue'
import { GROUPINGS, TURNS } from '@/threads/words'
import view from '@/threads/view'
import KeyHint from '@/ui/KeyHint.vue'
import { useKeys } from '@/ui/keys'
import Loading from '@/ui/Loading.vue'
import Note from '@/ui/Note.vue'
import { extended, NONE, still, toggled, type Picks } from '@/ui/picks'

const route = useRoute()
const router = useRouter()
const turn = ref<Turn>('WITH_ME')
const by = useStorage<ThreadGrouping>('threads-grouped-by', 'THREAD')
const threads = useThreads(turn, by)
const categories = useCategories()
const lines = computed(() => threads.data.value?.pages.flatMap((page) => page.lines) ?? [])
/** What was decided here leaves the list at once, and is back when that does not work. */
const gone = ref(new Set<string>())
watch(lines, () => (gone.value = new Set()))
const rows = computed(() => rowsOf(lines.value, gone.value))
const newest = computed(() => threads.data.value?.pages[0])
const openId = computed(() =>
  typeof route.params.id === 'string' && route.params.id ? route.params.id : undefined,
)
const pointed = computed(() =>
  typeof route.query.message === 'string' ? route.query.message : undefined,
)
/** The round has an address of its own, so that the way back leads out of it. */
const round = computed(() => route.query.round !== undefined)
const roundQuery = () => (round.value ? { round: '' } : {})

function goRound(on: boolean): void {
  void router.push({ name: 'threads', params: { id: '' }, query: on ? { round: '' } : {} })
}

const cursor = ref<string>()
const place = computed(() =>
  Math.max(
    rows.value.findIndex((row) => row.key === cursor.value),
    0,
  ),
)
const current = computed(() => rows.value[place.value])
const picks = ref<Picks>(NONE)
watch(rows, (now) => (picks.value = still(picks.value, now.map(named))))
watch([turn, by], () => {
  cursor.value = undefined
  picks.value = NONE
})
const named = (row: ThreadRow) => ({ id: row.line.id })
const chosen = computed(() => {
  const picked = new Map(
    rows.value
      .filter((row) => picks.value.ids.has(row.line.id))
      .map((row) => [row.line.id, row.line]),
  )
  return picked.size ? [...picked.values()] : current.value ? [current.value.line] : []
})

function open(id: string): void {
  void router.push({ name: 'threads', params: { id }, query: roundQuery() })
}

function closeSheet(): void {
  void router.push({ name: 'threads', params: { id: '' }, query: roundQuery() })
}

function focusRow(at: number): void {
  cursor.value = rows.value[at]?.key
  void nextTick(() => document.querySelector<HTMLElement>(`[data-row="${String(at)}"]`)?.focus())
}

function step(by: number): void {
  const at = cursor.value === undefined ? (by > 0 ? 0 : rows.value.length - 1) : place.value + by
  focusRow(Math.min(Math.max(at, 0), Math.max(rows.value.length - 1, 0)))
}

function pick(row: ThreadRow, how: 'one' | 'range'): void {
  cursor.value = row.key
  const ids = [row.line.id]
  picks.value =
    how === 'one' ? toggled(picks.value, ids) : extended(picks.value, rows.value.map(named), ids)
}

function pickStep(by: 1 | -1): void {
  const from = current.value
  if (from && picks.value.ids.size === 0) {
    pick(from, 'one')
  }
  const target = rows.value[place.value + by]
  if (target) {
    pick(target, 'range')
    focusRow(place.value)
  }
}

async function decide(choice: ThreadChoice): Promise<void> {
  const ids = chosen.value.map((line) => line.id)
  const at = place.value
  const leaves = choice.choice !== 'NOT_BEFORE'
  if (leaves) {
    gone.value = new Set([...gone.value, ...ids])
  }
  picks.value = NONE
  focusRow(Math.min(at, Math.max(rows.value.length - 1, 0)))
  if (!(await decideThreads(ids, choice))) {
    gone.value = new Set([...gone.value].filter((id) => !ids.includes(id)))
  }
}

function groupOtherwise(): void {
  const at = GROUPINGS.findIndex((each) => each.by === by.value)
  by.value = GROUPINGS[(at + 1) % GROUPINGS.length]?.by ?? 'THREAD'
}

const listed = () => !openId.value && !round.value
const bound = (key: (typeof view.keys)[keyof typeof view.keys], run: () => void) => ({
  ...key,
  run,
  when: listed,
})
useKeys(view.name, [
  bound(view.keys.next, () => {
    step(1)
  }),
  bound(view.keys.before, () => {
    step(-1)
  }),
  bound(view.keys.pickDown, () => {
    pickStep(1)
  }),
  bound(view.keys.pickUp, () => {
    pickStep(-1)
  }),
  bound(view.keys.withMe, () => (turn.value = 'WITH_ME')),
  bound(view.keys.withOthers, () => (turn.value = 'WITH_OTHERS')),
  bound(view.keys.closed, () => (turn.value = 'CLOSED')),
  bound(view.keys.group, groupOtherwise),
  bound(view.keys.round, () => {
    goRound(true)
  }),
  {
    ...view.keys.nothingPicked,
    run: () => (picks.value = NONE),
    when: () => listed() && picks.value.ids.size > 0,
  },
])
</script>

<template>
  <div class="flex h-full flex-col">
    <h1 class="sr-only">Threads</h1>
    <div v-if="!round" class="flex shrink-0 flex-wrap items-center gap-x-4 gap-y-1 px-3 py-2">
      <div class="flex flex-wrap gap-1" role="group" aria-label="Whose turn">
        <button
          v-for="each in TURNS"
          :key="each.turn"
          class="btn h-7"
          :class="each.turn === turn ? 'border-kelp text-kelp bg-kelp-wash font-semibold' : ''"
          type="button"
          :aria-pressed="each.turn === turn"
          :data-test="`turn-${each.turn}`"
          @click="turn = each.turn"
        >
          {{ each.title }}
          <span class="font-normal">{{ newest?.counts[each.turn] ?? 0 }}</span>
        </button>
      </div>
      <label class="flex items-center gap-1.5 print:hidden">
        <span class="text-ink-soft">grouped by</span>
        <select v-model="by" class="field h-7 w-auto py-0 max-sm:h-11" data-test="group-by">
          <option v-for="each in GROUPINGS" :key="each.by" :value="each.by">
            {{ each.title }}
          </option>
        </select>
        <KeyHint :group="view.name" :does="view.keys.group.does" or="B" />
      </label>
      <button
        v-if="newest && newest.due > 0"
        class="btn btn-main ml-auto h-7 max-sm:h-11"
        type="button"
        data-test="to-round"
        @click="goRound(true)"
      >
        Chase round <span class="font-normal">{{ newest.due }}</span>
        <KeyHint :group="view.name" :does="view.keys.round.does" or="r" />
      </button>
    </div>
    <div v-if="round" class="min-h-0 flex-1 overflow-auto pt-3">
      <ChaseRound @over="goRound(false)" @open="open" />
    </div>
    <template v-else>
      <div class="relative min-h-0 flex-1 overflow-auto px-3 pb-3">
        <Loading v-if="threads.isPending.value" />
        <Note v-else-if="threads.isError.value" title="Threads could not be loaded" problem>
          <p>{{ threads.error.value?.message }}</p>
          <button class="btn" type="button" @click="void threads.refetch()">Try again</button>
        </Note>
        <Note
          v-else-if="rows.length === 0"
          :title="TURNS.find((each) => each.turn === turn)?.empty ?? ''"
        >
          <p>
            Threads appear here as messages come in and go out. Whose turn it is follows from them.
          </p>
        </Note>
        <ThreadTable
          v-else
          :rows="rows"
          :turn="turn"
          :by="by"
          :now="newest?.now ?? ''"
          :current="current?.key"
          :picked="picks.ids"
          :categories="categories.data.value ?? []"
          @open="open"
          @point="(key) => (cursor = key)"
          @pick="pick"
        />
        <button
          v-if="threads.hasNextPage.value"
          class="btn mt-2"
          type="button"
          :disabled="threads.isFetchingNextPage.value"
          @click="void threads.fetchNextPage()"
        >
          Show the next hundred
        </button>
      </div>
      <ThreadBar
        v-if="chosen.length"
        :lines="chosen"
        :picked="picks.ids.size > 0"
        :active="listed()"
        @decide="(choice) => void decide(choice)"
        @clear="picks = NONE"
      />
    </template>
    <ThreadSheet v-if="openId" :id="openId" :key="openId" :pointed="pointed" @close="closeSheet" />
  </div>
</template>
