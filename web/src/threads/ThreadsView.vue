<script setup lang="ts">
import { useStorage } from '@vueuse/core'
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import type { ThreadGrouping, Turn } from '@/api/client'
import { useThreads } from '@/api/queries'
import Beside from '@/strips/Beside.vue'
import ClosingSweep from '@/threads/ClosingSweep.vue'
import HandOverBoard from '@/threads/HandOverBoard.vue'
import PromiseList from '@/threads/PromiseList.vue'
import ChaseRound from '@/threads/round/ChaseRound.vue'
import ThreadList from '@/threads/ThreadList.vue'
import ThreadSheet from '@/threads/ThreadSheet.vue'
import { GROUPINGS, TURNS } from '@/threads/words'
import view from '@/threads/view'
import KeyHint from '@/ui/KeyHint.vue'
import { useKeys } from '@/ui/keys'

/** What has an address of its own beside the lists, so that the way back leads out of it. */
type Room = 'round' | 'sweep' | 'promised' | 'handed'
const ROOMS: readonly Room[] = ['round', 'sweep', 'promised', 'handed']

const route = useRoute()
const router = useRouter()
/** Another page may lead to one list, grouped as it says. */
const turn = ref<Turn>(TURNS.find((each) => each.turn === route.query.turn)?.turn ?? 'WITH_ME')
const by = useStorage<ThreadGrouping>('threads-grouped-by', 'THREAD')
by.value = GROUPINGS.find((each) => each.by === route.query.by)?.by ?? by.value
const threads = useThreads(turn, by)
const newest = computed(() => threads.data.value?.pages[0])
const openId = computed(() =>
  typeof route.params.id === 'string' && route.params.id ? route.params.id : undefined,
)
const pointed = computed(() =>
  typeof route.query.message === 'string' ? route.query.message : undefined,
)
const room = computed(() => ROOMS.find((each) => route.query[each] !== undefined))
const queryOf = (to: Room | undefined) => (to ? { [to]: '' } : {})

function enter(to: Room | undefined): void {
  void router.push({ name: 'threads', params: { id: '' }, query: queryOf(to) })
}

function show(other: Turn): void {
  turn.value = other
  if (room.value) {
    enter(undefined)
  }
}

function open(id: string): void {
  void router.push({ name: 'threads', params: { id }, query: queryOf(room.value) })
}

/** Shows a message of the thread that is open. */
function point(message: string): void {
  void router.replace({ query: { ...queryOf(room.value), message } })
}

function groupOtherwise(): void {
  const at = GROUPINGS.findIndex((each) => each.by === by.value)
  by.value = GROUPINGS[(at + 1) % GROUPINGS.length]?.by ?? 'THREAD'
}

const outside = () => !openId.value && room.value !== 'round'
const bound = (key: (typeof view.keys)[keyof typeof view.keys], run: () => void) => ({
  ...key,
  run,
  when: outside,
})
useKeys(view.name, [
  bound(view.keys.withMe, () => {
    show('WITH_ME')
  }),
  bound(view.keys.withOthers, () => {
    show('WITH_OTHERS')
  }),
  bound(view.keys.closed, () => {
    show('CLOSED')
  }),
  bound(view.keys.promised, () => {
    enter('promised')
  }),
  bound(view.keys.handed, () => {
    enter('handed')
  }),
  bound(view.keys.sweep, () => {
    enter('sweep')
  }),
  bound(view.keys.round, () => {
    enter('round')
  }),
  bound(view.keys.group, groupOtherwise),
])
const lit = 'border-kelp text-kelp bg-kelp-wash font-semibold'
</script>

<template>
  <Beside :group="view.name">
    <div class="flex h-full flex-col">
      <h1 class="sr-only text-lg font-semibold print:not-sr-only">
        Threads<span v-if="!room" class="max-sm:hidden"
          >: {{ TURNS.find((each) => each.turn === turn)?.title }}</span
        >
      </h1>
      <div
        v-if="room !== 'round'"
        class="flex shrink-0 flex-wrap items-center gap-x-4 gap-y-1 px-3 py-2"
      >
        <div class="flex flex-wrap gap-1" role="group" aria-label="Whose turn">
          <template v-for="each in TURNS" :key="each.turn">
            <button
              class="btn h-7"
              :class="each.turn === turn && !room ? lit : ''"
              type="button"
              :aria-pressed="each.turn === turn && !room"
              :data-test="`turn-${each.turn}`"
              @click="show(each.turn)"
            >
              {{ each.title }}
              <span class="font-normal">{{ newest?.counts[each.turn] ?? 0 }}</span>
            </button>
            <button
              v-if="each.turn === 'WITH_OTHERS'"
              class="btn h-7"
              :class="room === 'promised' ? lit : ''"
              type="button"
              :aria-pressed="room === 'promised'"
              data-test="to-promised"
              @click="enter('promised')"
            >
              I promised <span class="font-normal">{{ newest?.promised ?? 0 }}</span>
            </button>
            <button
              v-if="each.turn === 'WITH_OTHERS'"
              class="btn h-7"
              :class="room === 'handed' ? lit : ''"
              type="button"
              :aria-pressed="room === 'handed'"
              data-test="to-handed"
              @click="enter('handed')"
            >
              Handed over
            </button>
          </template>
        </div>
        <label v-if="!room" class="flex items-center gap-1.5 print:hidden">
          <span class="text-ink-soft">grouped by</span>
          <select v-model="by" class="field h-7 w-auto py-0 max-sm:h-11" data-test="group-by">
            <option v-for="each in GROUPINGS" :key="each.by" :value="each.by">
              {{ each.title }}
            </option>
          </select>
          <KeyHint :group="view.name" :does="view.keys.group.does" or="B" />
        </label>
        <span class="ml-auto flex flex-wrap gap-2">
          <button
            v-if="room !== 'sweep'"
            class="btn btn-quiet h-7 max-sm:h-11"
            type="button"
            data-test="to-sweep"
            @click="enter('sweep')"
          >
            Closing sweep
            <span v-if="newest?.closable" class="font-normal">{{ newest.closable }}</span>
            <KeyHint :group="view.name" :does="view.keys.sweep.does" or="S" />
          </button>
          <button
            v-if="newest && newest.due > 0"
            class="btn btn-main h-7 max-sm:h-11"
            type="button"
            data-test="to-round"
            @click="enter('round')"
          >
            Chase round <span class="font-normal">{{ newest.due }}</span>
            <KeyHint :group="view.name" :does="view.keys.round.does" or="r" />
          </button>
        </span>
      </div>
      <div v-if="room === 'round'" class="min-h-0 flex-1 overflow-auto pt-3">
        <ChaseRound @over="enter(undefined)" @open="open" />
      </div>
      <ClosingSweep v-else-if="room === 'sweep'" @over="enter(undefined)" @open="open" />
      <HandOverBoard v-else-if="room === 'handed'" @open="open" />
      <PromiseList v-else-if="room === 'promised'" :active="!openId" @open="open" />
      <ThreadList v-else :turn="turn" :by="by" :active="!openId" @open="open" />
      <ThreadSheet
        v-if="openId"
        :id="openId"
        :key="openId"
        :pointed="pointed"
        @close="enter(room)"
        @point="point"
      />
    </div>
  </Beside>
</template>
