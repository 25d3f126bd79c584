<script setup lang="ts">
import { computed, nextTick, ref, watch } from 'vue'
import type { ThreadGrouping, Turn } from '@/api/client'
import { useCategories, useThreads } from '@/api/queries'
import OutMenu from '@/lists/OutMenu.vue'
import { decideThreads, joinThreads, type ThreadChoice } from '@/threads/decide'
import { rowsOf, type ThreadRow } from '@/threads/rows'
import { tableOf } from '@/threads/table'
import ThreadBar from '@/threads/ThreadBar.vue'
import ThreadTable from '@/threads/ThreadTable.vue'
import { TURNS } from '@/threads/words'
import view from '@/threads/view'
import { useKeys } from '@/ui/keys'
import Loading from '@/ui/Loading.vue'
import Note from '@/ui/Note.vue'
import { usePicks } from '@/ui/usePicks'

/** The threads of one list; one or several of them are decided with a letter. */
const { turn, by, active } = defineProps<{
  turn: Turn
  by: ThreadGrouping
  /** Whether its keys count. */
  active: boolean
}>()
const emit = defineEmits<{ open: [id: string] }>()

const threads = useThreads(
  () => turn,
  () => by,
)
const categories = useCategories()
const lines = computed(() => threads.data.value?.pages.flatMap((page) => page.lines) ?? [])
/** What was decided here leaves the list at once, and is back when that does not work. */
const gone = ref(new Set<string>())
watch(lines, () => (gone.value = new Set()))
const rows = computed(() => rowsOf(lines.value, gone.value))

const cursor = ref<string>()
const place = computed(() =>
  Math.max(
    rows.value.findIndex((row) => row.key === cursor.value),
    0,
  ),
)
const current = computed(() => rows.value[place.value])
const { picks, pick, pickStep, pickNothing } = usePicks({
  ids: () => rows.value.map((row) => row.line.id),
  current: () => current.value?.line.id,
  step,
})
watch([() => turn, () => by], () => {
  cursor.value = undefined
  pickNothing()
})
const chosen = computed(() => {
  const picked = new Map(
    rows.value
      .filter((row) => picks.value.ids.has(row.line.id))
      .map((row) => [row.line.id, row.line]),
  )
  return picked.size ? [...picked.values()] : current.value ? [current.value.line] : []
})

function focusRow(at: number): void {
  cursor.value = rows.value[at]?.key
  void nextTick(() => document.querySelector<HTMLElement>(`[data-row="${String(at)}"]`)?.focus())
}

function step(by: number): void {
  const at = cursor.value === undefined ? (by > 0 ? 0 : rows.value.length - 1) : place.value + by
  focusRow(Math.min(Math.max(at, 0), Math.max(rows.value.length - 1, 0)))
}

/** A row that was picked with the pointer is pointed at too. */
function pickRow(row: ThreadRow, how: 'one' | 'range'): void {
  cursor.value = row.key
  pick(row.line.id, how)
}

async function decide(choice: ThreadChoice): Promise<void> {
  const ids = chosen.value.map((line) => line.id)
  const at = place.value
  if (choice.choice !== 'NOT_BEFORE') {
    gone.value = new Set([...gone.value, ...ids])
  }
  pickNothing()
  focusRow(Math.min(at, Math.max(rows.value.length - 1, 0)))
  if (!(await decideThreads(ids, choice))) {
    gone.value = new Set([...gone.value].filter((id) => !ids.includes(id)))
  }
}

async function join(): Promise<void> {
  const ids = chosen.value.map((line) => line.id)
  if (await joinThreads(ids)) {
    pickNothing()
  }
}

const bound = (key: (typeof view.keys)[keyof typeof view.keys], run: () => void) => ({
  ...key,
  run,
  when: () => active,
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
  {
    ...view.keys.nothingPicked,
    run: pickNothing,
    when: () => active && picks.value.ids.size > 0,
  },
])
</script>

<template>
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
      <p>{{ view.about }} Threads appear as messages come in and go out.</p>
    </Note>
    <ThreadTable
      v-else
      :rows="rows"
      :turn="turn"
      :by="by"
      :now="threads.data.value?.pages[0]?.now ?? ''"
      :current="current?.key"
      :picked="picks.ids"
      :categories="categories.data.value ?? []"
      @open="(id) => emit('open', id)"
      @point="(key) => (cursor = key)"
      @pick="pickRow"
    />
    <div v-if="rows.length > 0" class="text-ink-soft mt-2 text-sm print:hidden">
      <OutMenu :list="() => tableOf(lines, turn)" />
    </div>
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
    :active="active"
    @decide="(choice) => void decide(choice)"
    @join="void join()"
    @clear="pickNothing"
  />
</template>
