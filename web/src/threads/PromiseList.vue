<script setup lang="ts">
import { computed, nextTick, ref } from 'vue'
import type { ListForm, PromiseView } from '@/api/client'
import { usePromises } from '@/api/queries'
import OutMenu from '@/lists/OutMenu.vue'
import { decideThreads, followUpOf } from '@/threads/decide'
import HoldingReply from '@/threads/HoldingReply.vue'
import view from '@/threads/view'
import KeyHint from '@/ui/KeyHint.vue'
import { useKeys } from '@/ui/keys'
import Loading from '@/ui/Loading.vue'
import Note from '@/ui/Note.vue'
import { moment, replyBy, shortMoment } from '@/ui/time'

/** What I have promised: by when, to whom, in my own words; each becomes a follow-up, or is put off before it is broken. */
const { active } = defineProps<{ active: boolean }>()
const emit = defineEmits<{ open: [id: string] }>()

const promises = usePromises()
const all = computed(() => promises.data.value?.open ?? [])
const keyOf = (one: PromiseView) => `${one.threadId} ${one.promisedIn} ${one.messageId}`
const cursor = ref<string>()
const place = computed(() =>
  Math.max(
    all.value.findIndex((one) => keyOf(one) === cursor.value),
    0,
  ),
)
const current = computed(() => all.value[place.value])
const writing = ref(false)

function go(at: number): void {
  const to = Math.min(Math.max(at, 0), all.value.length - 1)
  const one = all.value[to]
  cursor.value = one && keyOf(one)
  writing.value = false
  void nextTick(() =>
    document.querySelector<HTMLElement>(`[data-promise="${String(to)}"]`)?.focus(),
  )
}

/** The list as it is seen, for other people and programs. */
function table(): ListForm {
  return {
    title: 'What I promised',
    words: '',
    heading: ['By', 'I promised', 'To', 'In', 'Said'],
    groups: [
      {
        title: '',
        rows: all.value.map((one) => [
          standing(one).text,
          one.words || `yes to “${one.asked}”`,
          one.to,
          one.subject,
          moment(one.at),
        ]),
      },
    ],
  }
}

function followUp(): void {
  if (current.value) {
    void followUpOf(current.value)
  }
}

function kept(): void {
  if (current.value) {
    void decideThreads([current.value.threadId], { choice: 'CLOSE', reason: 'DONE_ELSEWHERE' })
  }
}

function standing(one: PromiseView): { text: string; color: string } {
  if (one.byDay === null) {
    return { text: 'no day', color: 'text-ink-soft' }
  }
  const day = replyBy(one.byDay, one.byTime)
  return one.late
    ? { text: `broken: ${day}`, color: 'text-rust font-semibold' }
    : one.due
      ? {
          text: `today${one.byTime ? ` ${one.byTime.slice(0, 5)}` : ''}`,
          color: 'text-brass-ink font-semibold',
        }
      : { text: day, color: '' }
}

const can = () => active && current.value !== undefined && !writing.value
useKeys(view.name, [
  {
    ...view.keys.next,
    run: () => {
      go(cursor.value === undefined ? 0 : place.value + 1)
    },
    when: () => active,
  },
  {
    ...view.keys.before,
    run: () => {
      go(place.value - 1)
    },
    when: () => active,
  },
  { ...view.keys.followUp, run: followUp, when: () => can() && current.value?.followUps === 0 },
  { ...view.keys.longer, run: () => (writing.value = true), when: can },
  { ...view.keys.kept, run: kept, when: can },
])
</script>

<template>
  <div class="relative min-h-0 flex-1 overflow-auto px-3 pb-3">
    <Loading v-if="promises.isPending.value" />
    <Note v-else-if="promises.isError.value" title="Your promises could not be loaded" problem>
      <p>{{ promises.error.value?.message }}</p>
    </Note>
    <Note v-else-if="all.length === 0" title="You have promised nothing that is still open.">
      <p>
        What you say you will do (“I’ll send it on Friday”) is listed here with its day, until it is
        done.
      </p>
    </Note>
    <table v-else class="bg-surface border-line w-full table-fixed border" data-test="promises">
      <thead class="text-ink-soft text-left text-sm">
        <tr class="border-line border-b">
          <th class="h-7 w-40 px-3 font-normal max-sm:w-28">By</th>
          <th class="px-3 font-normal">I promised</th>
          <th class="hidden w-44 px-3 font-normal sm:table-cell">To</th>
          <th class="hidden w-56 px-3 font-normal lg:table-cell">In</th>
          <th class="hidden w-24 px-3 font-normal md:table-cell">Said</th>
          <th class="hidden w-28 px-3 font-normal md:table-cell">Follow-up</th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="(one, i) in all"
          :key="keyOf(one)"
          class="border-line h-8 cursor-pointer border-b last:border-0"
          :class="one === current ? 'bg-paper' : 'hover:bg-paper'"
          @click="emit('open', one.threadId)"
        >
          <td class="px-3 max-sm:px-2" :class="standing(one).color">{{ standing(one).text }}</td>
          <td class="px-3 py-1 max-sm:px-2">
            <button
              class="print block w-full truncate text-left max-sm:min-h-8"
              type="button"
              :data-promise="i"
              :tabindex="one === current ? 0 : -1"
              :title="one.words || one.asked"
              @focus="cursor = keyOf(one)"
              @click.stop="emit('open', one.threadId)"
            >
              <span v-if="one.words">“{{ one.words }}”</span>
              <span v-else>yes to “{{ one.asked }}”</span>
            </button>
            <p v-if="one.asked && one.words" class="text-ink-soft truncate text-sm">
              they asked: “{{ one.asked }}”
            </p>
            <p class="text-ink-soft truncate text-sm sm:hidden">
              <bdi>{{ one.to }}</bdi>
            </p>
          </td>
          <td class="hidden truncate px-3 sm:table-cell">
            <bdi>{{ one.to }}</bdi>
          </td>
          <td class="hidden truncate px-3 lg:table-cell">
            <bdi>{{ one.subject }}</bdi>
          </td>
          <td
            class="text-ink-soft hidden px-3 whitespace-nowrap md:table-cell"
            :title="moment(one.at)"
          >
            {{ shortMoment(one.at) }}
          </td>
          <td class="hidden px-3 md:table-cell">
            <span :class="one.followUps ? 'text-ink-soft' : 'text-brass-ink'">{{
              one.followUps ? 'yes' : 'none'
            }}</span>
          </td>
        </tr>
      </tbody>
    </table>
    <p v-if="all.length > 0" class="mt-2 text-sm print:hidden">
      <OutMenu :list="table" />
    </p>
  </div>
  <div
    v-if="current"
    class="border-line-strong bg-surface shrink-0 border-t px-3 py-2 print:hidden"
    role="group"
    aria-label="Decision"
    data-test="promise-bar"
  >
    <HoldingReply
      v-if="writing"
      :key="keyOf(current)"
      :promise="current"
      @sent="writing = false"
      @cancel="writing = false"
    />
    <div v-else class="flex flex-wrap items-center gap-2">
      <button
        v-if="current.followUps === 0"
        class="btn btn-main h-8 max-sm:h-11"
        type="button"
        data-test="promise-follow-up"
        @click="followUp"
      >
        Follow-up “{{ current.title }}”
        <KeyHint :group="view.name" :does="view.keys.followUp.does" or="F" />
      </button>
      <button
        class="btn h-8 max-sm:h-11"
        type="button"
        data-test="it-takes-longer"
        @click="writing = true"
      >
        It takes longer <KeyHint :group="view.name" :does="view.keys.longer.does" or="L" />
      </button>
      <button class="btn h-8 max-sm:h-11" type="button" data-test="promise-kept" @click="kept">
        Kept elsewhere <KeyHint :group="view.name" :does="view.keys.kept.does" or="K" />
      </button>
    </div>
  </div>
</template>
