<script setup lang="ts">
import { computed } from 'vue'
import type { Given } from '@/api/client'
import { useHandOvers } from '@/api/queries'
import { GIVEN, isOpen, takeBack, TAKEN } from '@/message/handOver'
import TakerSteps from '@/message/TakerSteps.vue'
import Loading from '@/ui/Loading.vue'
import Note from '@/ui/Note.vue'
import { day, shortMoment, today } from '@/ui/time'

/** What I gave away, by person, and what I took over: each step of the other side as it is now. */
const emit = defineEmits<{ open: [id: string] }>()
const board = useHandOvers()
const given = computed(() => board.data.value?.given ?? [])
const received = computed(() => board.data.value?.received ?? [])
const people = computed(() => {
  const by = new Map<string, Given[]>()
  // What is open stands before what has ended.
  for (const one of [...given.value].sort((a, b) => Number(isOver(a)) - Number(isOver(b)))) {
    by.set(one.to, [...(by.get(one.to) ?? []), one])
  }
  return [...by].map(([name, rows]) => ({
    name,
    rows,
    open: rows.filter((one) => !isOver(one)).length,
  }))
})

/** Whoever is not of this installation answers by mail: then nobody waits for them any more. */
function isOver(one: Given): boolean {
  return !isOpen(one.state) || (!one.colleague && !one.waiting)
}

function standing(one: Given): string {
  if (!one.colleague && isOpen(one.state)) {
    return one.waiting ? 'waiting for their answer' : 'has answered'
  }
  const said = GIVEN[one.state].replace(/ (to|by|from)$/, '').toLowerCase()
  return one.word
    ? one.state === 'HANDED_ON'
      ? `${said} to ${one.word}`
      : `${said}: “${one.word}”`
    : said
}
</script>

<template>
  <div class="min-h-0 flex-1 overflow-auto px-3 pb-16" data-test="board">
    <Loading v-if="board.isPending.value" />
    <Note v-else-if="board.isError.value" title="The board could not be loaded" problem>
      <p>{{ board.error.value?.message }}</p>
    </Note>
    <Note
      v-else-if="given.length + received.length === 0"
      title="Nothing was handed over, by you or to you."
    >
      <p>
        What you hand over in Intake stands here until it is done; what colleagues hand over to you,
        too.
      </p>
    </Note>
    <template v-else>
      <section v-if="received.length" class="mb-4">
        <h2 class="mb-1 text-lg font-semibold">To me</h2>
        <ul class="bg-surface border-line divide-line divide-y border">
          <li
            v-for="one in received"
            :key="one.messageId"
            class="flex flex-wrap items-center gap-x-3 gap-y-1 px-3 py-1.5"
            :class="isOpen(one.state) ? '' : 'text-ink-soft'"
            data-test="received"
          >
            <button
              class="print min-w-0 truncate text-left font-semibold max-sm:min-h-11"
              type="button"
              @click="emit('open', one.threadId)"
            >
              {{ one.subject }}
            </button>
            <span
              >from
              <b
                ><bdi>{{ one.from }}</bdi></b
              >, {{ TAKEN[one.state]
              }}<template v-if="one.wantedDay">, wanted by {{ day(one.wantedDay) }}</template
              ><template v-if="one.theirDay && one.theirDay !== one.wantedDay"
                >, I said {{ day(one.theirDay) }}</template
              ><template v-if="one.word">: “{{ one.word }}”</template></span
            >
            <TakerSteps
              v-if="isOpen(one.state) && one.state !== 'HANDED_ON'"
              class="ml-auto"
              :message-id="one.messageId"
              :state="one.state"
              :wanted-day="one.wantedDay"
            />
          </li>
        </ul>
      </section>
      <h2 v-if="people.length" class="mb-1 text-lg font-semibold">By me</h2>
      <section v-for="person in people" :key="person.name" class="mb-3" data-test="given-to">
        <h3 class="mb-1 font-semibold">
          <bdi>{{ person.name }}</bdi>
          <span class="text-ink-soft ml-2 font-normal">{{ person.open }} open</span>
        </h3>
        <ul class="bg-surface border-line divide-line divide-y border">
          <li
            v-for="one in person.rows"
            :key="one.messageId + one.offeredAt"
            class="flex flex-wrap items-center gap-x-3 gap-y-1 px-3 py-1.5"
            :class="isOver(one) ? 'text-ink-soft' : ''"
            data-test="given"
          >
            <button
              class="print w-72 truncate text-left font-semibold max-sm:min-h-11 max-sm:w-full"
              type="button"
              @click="emit('open', one.threadId)"
            >
              {{ one.subject }}
            </button>
            <span class="min-w-0 flex-1 wrap-anywhere">{{ standing(one) }}</span>
            <span v-if="!isOver(one)" class="whitespace-nowrap">
              <template v-if="one.theirDay">
                <span :class="one.laterThanWanted ? 'text-brass-ink font-semibold' : ''"
                  >they say {{ day(one.theirDay) }}</span
                >{{ one.wantedDay && one.laterThanWanted ? `, you ${day(one.wantedDay)}` : '' }}
              </template>
              <span
                v-else-if="one.wantedDay"
                :class="one.wantedDay < today() ? 'text-rust font-semibold' : ''"
                >wanted by {{ day(one.wantedDay) }}</span
              >
              <span v-if="one.chaseOn" class="text-ink-soft">
                · chase {{ one.chaseOn <= today() ? 'now' : day(one.chaseOn) }}</span
              >
            </span>
            <span class="text-ink-soft w-24 text-right text-sm" title="Handed over">{{
              shortMoment(one.offeredAt)
            }}</span>
            <button
              v-if="!isOver(one)"
              class="btn h-7 max-sm:h-11"
              type="button"
              data-test="board-take-back"
              @click="void takeBack(one.messageId)"
            >
              Take back
            </button>
          </li>
        </ul>
      </section>
    </template>
  </div>
</template>
