<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import type { ThreadLine, Turn } from '@/api/client'
import { useThreads } from '@/api/queries'
import Owing from '@/threads/Owing.vue'
import ThreadSheet from '@/threads/ThreadSheet.vue'
import ChaseRound from '@/threads/round/ChaseRound.vue'
import { firstChase, TURNS } from '@/threads/words'
import view from '@/threads/view'
import KeyHint from '@/ui/KeyHint.vue'
import { useKeys } from '@/ui/keys'
import Loading from '@/ui/Loading.vue'
import Note from '@/ui/Note.vue'
import { moment, shortMoment, today, workingSpan, workingSpanInWords } from '@/ui/time'
import Trace from '@/ui/Trace.vue'

const COLUMN: Record<Turn, string> = {
  WITH_ME: 'I owe',
  WITH_OTHERS: 'They owe',
  CLOSED: 'Standing',
  NOBODY: '',
}

const route = useRoute()
const router = useRouter()
const turn = ref<Turn>('WITH_ME')
const threads = useThreads(turn)
const lines = computed(() => threads.data.value?.pages.flatMap((page) => page.lines) ?? [])
const rows = computed(() => lines.value.map((line) => ({ line, chase: firstChase(line, today()) })))
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

const cursor = ref(0)
watch(turn, () => (cursor.value = 0))

function open(id: string): void {
  void router.push({ name: 'threads', params: { id }, query: roundQuery() })
}

function closeSheet(): void {
  void router.push({ name: 'threads', params: { id: '' }, query: roundQuery() })
}

function step(by: number): void {
  cursor.value = Math.min(Math.max(cursor.value + by, 0), Math.max(lines.value.length - 1, 0))
  document.querySelector<HTMLElement>(`[data-row="${cursor.value}"]`)?.focus()
}

function people(line: ThreadLine): string {
  return line.room ? `${line.room}: ${line.people.join(', ')}` : line.people.join(', ')
}

const listed = () => !openId.value && !round.value
useKeys(view.name, [
  {
    ...view.keys.next,
    run: () => {
      step(1)
    },
    when: listed,
  },
  {
    ...view.keys.before,
    run: () => {
      step(-1)
    },
    when: listed,
  },
  { ...view.keys.withMe, run: () => (turn.value = 'WITH_ME'), when: listed },
  { ...view.keys.withOthers, run: () => (turn.value = 'WITH_OTHERS'), when: listed },
  {
    ...view.keys.round,
    run: () => {
      goRound(true)
    },
    when: listed,
  },
  { ...view.keys.closed, run: () => (turn.value = 'CLOSED'), when: listed },
])
</script>

<template>
  <div class="flex h-full flex-col">
    <h1 class="sr-only">Threads</h1>
    <div
      v-if="!round"
      class="flex shrink-0 flex-wrap gap-1 px-3 py-2"
      role="group"
      aria-label="Whose turn"
    >
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
    <div v-else class="relative min-h-0 flex-1 overflow-auto px-3 pb-3">
      <Loading v-if="threads.isPending.value" />
      <Note v-else-if="threads.isError.value" title="Threads could not be loaded" problem>
        <p>{{ threads.error.value?.message }}</p>
        <button class="btn" type="button" @click="void threads.refetch()">Try again</button>
      </Note>
      <Note
        v-else-if="lines.length === 0"
        :title="TURNS.find((each) => each.turn === turn)?.empty ?? ''"
      >
        <p>
          Threads appear here as messages come in and go out. Whose turn it is follows from them.
        </p>
      </Note>
      <table v-else class="bg-surface border-line w-full table-fixed border" data-test="threads">
        <thead class="text-ink-soft text-left text-sm">
          <tr class="border-line border-b">
            <th class="h-7 px-3 font-normal">Thread</th>
            <th class="hidden w-44 px-3 font-normal md:table-cell">People</th>
            <th class="hidden w-52 px-3 font-normal sm:table-cell">Trace</th>
            <th v-if="turn !== 'NOBODY'" class="hidden px-3 font-normal lg:table-cell">
              {{ COLUMN[turn] }}
            </th>
            <th class="hidden w-24 px-3 font-normal md:table-cell">Since</th>
            <th v-if="turn === 'WITH_OTHERS'" class="w-28 px-3 font-normal max-sm:w-22 max-sm:px-1">
              Chase
            </th>
            <th class="w-20 px-3 text-right font-normal">Silent</th>
          </tr>
        </thead>
        <tbody>
          <tr
            v-for="({ line, chase }, i) in rows"
            :key="line.id"
            class="border-line hover:bg-paper h-8 cursor-pointer border-b last:border-0"
            @click="open(line.id)"
          >
            <td class="px-3">
              <button
                type="button"
                class="print flex w-full items-center gap-2 truncate text-left max-sm:pt-2"
                :data-row="i"
                :tabindex="i === cursor ? 0 : -1"
                @focus="cursor = i"
                @click.stop="open(line.id)"
              >
                <span class="truncate font-semibold" :title="line.subject">{{
                  line.subject || people(line)
                }}</span>
                <span v-if="line.openedAgain" class="text-brass-ink shrink-0 text-sm"
                  >opened again</span
                >
              </button>
              <div class="pb-1.5 text-sm lg:hidden" data-test="thread-beside">
                <p class="text-ink-soft truncate md:hidden">
                  <bdi>{{ people(line) }}</bdi>
                </p>
                <Owing v-if="turn !== 'NOBODY'" :line="line" :closed="turn === 'CLOSED'" />
              </div>
            </td>
            <td class="hidden truncate px-3 md:table-cell" :title="people(line)">
              <bdi>{{ people(line) }}</bdi>
            </td>
            <td class="hidden px-3 sm:table-cell">
              <Trace :thread="line" :now="newest?.now ?? ''" />
            </td>
            <td
              v-if="turn !== 'NOBODY'"
              class="hidden px-3 py-1 lg:table-cell"
              data-test="thread-owed"
            >
              <Owing :line="line" :closed="turn === 'CLOSED'" />
            </td>
            <td
              class="text-ink-soft hidden px-3 whitespace-nowrap md:table-cell"
              :title="line.since ? moment(line.since) : ''"
            >
              {{ line.since ? shortMoment(line.since) : '' }}
            </td>
            <td
              v-if="turn === 'WITH_OTHERS'"
              class="px-3 whitespace-nowrap max-sm:px-1"
              :class="chase?.due ? 'text-brass-ink font-semibold' : 'text-ink-soft'"
              :title="chase ? `${chase.who}: ${chase.why}` : ''"
              data-test="chase"
            >
              {{ chase?.text }}
            </td>
            <td class="px-3 text-right" :title="workingSpanInWords(line.silenceWorkingMinutes)">
              {{ workingSpan(line.silenceWorkingMinutes) }}
            </td>
          </tr>
        </tbody>
      </table>
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
    <ThreadSheet v-if="openId" :id="openId" :key="openId" :pointed="pointed" @close="closeSheet" />
  </div>
</template>
