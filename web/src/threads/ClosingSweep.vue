<script setup lang="ts">
import { useStorage } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import type { Closable } from '@/api/client'
import { useClosable } from '@/api/queries'
import { decideThreads } from '@/threads/decide'
import Loading from '@/ui/Loading.vue'
import Note from '@/ui/Note.vue'
import { shortMoment, workingSpan } from '@/ui/time'

/** Threads in which nobody owes anything any more, shown before all of them that stay picked are closed at once. */
const emit = defineEmits<{ over: []; open: [id: string] }>()

const days = useStorage('closing-sweep-days', 10)
const wanted = computed(() => Math.min(Math.max(Math.round(days.value) || 10, 1), 250))
const closable = useClosable(wanted)
const all = computed(() => closable.data.value?.threads ?? [])
const kept = ref(new Set<string>())
watch(wanted, () => (kept.value = new Set()))
const chosen = computed(() => all.value.filter((one) => !kept.value.has(one.line.id)))
const groups = computed(() =>
  [
    {
      title: 'The last word was said',
      rows: all.value.filter((one) => one.line.closingWord !== null),
    },
    {
      title: `Nobody has written for ${String(wanted.value)} working days`,
      rows: all.value.filter((one) => one.line.closingWord === null),
    },
  ].filter((group) => group.rows.length),
)

function toggle(one: Closable): void {
  const next = new Set(kept.value)
  if (!next.delete(one.line.id)) {
    next.add(one.line.id)
  }
  kept.value = next
}

async function close(): Promise<void> {
  const done = await decideThreads(
    chosen.value.map((one) => one.line.id),
    { choice: 'CLOSE', reason: 'ANSWERED' },
  )
  if (done && kept.value.size === 0) {
    emit('over')
  }
}
</script>

<template>
  <div class="min-h-0 flex-1 overflow-auto px-3 pb-16" data-test="sweep">
    <div class="mb-2 flex flex-wrap items-center gap-x-4 gap-y-2">
      <label class="flex items-center gap-2">
        Nobody’s turn for
        <input
          v-model.number="days"
          class="field h-8 w-16 max-sm:h-11"
          type="number"
          min="1"
          max="250"
          data-test="sweep-days"
        />
        working days
      </label>
      <span class="text-ink-soft">Those with an open follow-up are left out.</span>
      <span class="ml-auto flex gap-2 print:hidden">
        <button class="btn btn-quiet h-8 max-sm:h-11" type="button" @click="emit('over')">
          Not now
        </button>
        <button
          class="btn btn-main h-8 max-sm:h-11"
          type="button"
          data-test="sweep-close"
          :disabled="chosen.length === 0"
          @click="void close()"
        >
          Close {{ chosen.length }} as answered
        </button>
      </span>
    </div>
    <Loading v-if="closable.isPending.value" />
    <Note v-else-if="closable.isError.value" title="The threads could not be loaded" problem>
      <p>{{ closable.error.value?.message }}</p>
    </Note>
    <Note v-else-if="all.length === 0" title="There is nothing to close.">
      <p>A thread comes up here when somebody has said the last word, or nobody writes any more.</p>
    </Note>
    <section v-for="group in groups" :key="group.title" class="mb-3">
      <h2 class="mb-1 font-semibold">
        {{ group.title }} <span class="text-ink-soft font-normal">{{ group.rows.length }}</span>
      </h2>
      <ul class="bg-surface border-line divide-line divide-y border">
        <li
          v-for="one in group.rows"
          :key="one.line.id"
          class="flex items-center gap-2 px-2 py-1"
          :class="kept.has(one.line.id) ? 'text-ink-soft' : ''"
        >
          <label class="inline-grid h-8 w-9 shrink-0 cursor-pointer place-items-center max-sm:h-11">
            <input
              type="checkbox"
              :checked="!kept.has(one.line.id)"
              :aria-label="`Close ${one.line.subject}`"
              @change="toggle(one)"
            />
          </label>
          <div class="min-w-0 flex-1 sm:flex sm:items-baseline sm:gap-4">
            <button
              class="print block truncate text-left font-semibold max-sm:min-h-11 max-sm:w-full sm:w-72 sm:shrink-0"
              type="button"
              @click="emit('open', one.line.id)"
            >
              {{ one.line.subject || one.line.people.join(', ') }}
            </button>
            <p class="min-w-0 flex-1 truncate" :title="one.words">
              <b :class="one.mine ? 'text-kelp' : 'text-dusk'"
                ><bdi>{{ one.mine ? 'I' : one.writer }}</bdi></b
              >: <bdi>“{{ one.words }}”</bdi>
            </p>
          </div>
          <span class="text-ink-soft shrink-0 text-sm max-sm:hidden">{{
            one.line.trace.length
              ? shortMoment(one.line.trace[one.line.trace.length - 1]!.sentAt)
              : ''
          }}</span>
          <span class="w-14 shrink-0 text-right">{{
            workingSpan(one.line.silenceWorkingMinutes)
          }}</span>
        </li>
      </ul>
    </section>
  </div>
</template>
