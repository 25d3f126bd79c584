<script setup lang="ts">
import { Hourglass } from '@lucide/vue'
import { computed } from 'vue'
import { client, unwrap, type FollowUpLine } from '@/api/client'
import TypedPart from '@/followups/details/TypedPart.vue'
import { NOTHING, waitFor, waitingText } from '@/followups/waiting'

/** For whom, where or until when a follow-up waits, set in words. */
const { line } = defineProps<{ line: FollowUpLine }>()

const waits = computed(() => (line.waiting && !line.back ? waitingText(line.waiting) : ''))
const usual = computed(() => [
  ...line.people
    .slice(0, 3)
    .map((person) => `until ${(person.name || person.address).split(' ')[0] ?? ''} writes`),
  ...(line.messageId ? ['until somebody answers in the thread'] : []),
  'until tomorrow',
])
const read = (words: string) =>
  unwrap(
    client.POST('/api/follow-ups/{id}/waiting/read', {
      params: { path: { id: line.id } },
      body: { words },
    }),
  )
type Read = Awaited<ReturnType<typeof read>>

async function set(_: string, understood: () => Promise<Read | undefined>): Promise<boolean> {
  const meant = await understood()
  return meant?.words
    ? (await waitFor(line, {
        person: meant.person,
        threadId: meant.threadId,
        until: meant.until,
      })) !== undefined
    : false
}

async function waitNoLonger(close: () => void): Promise<void> {
  if (await waitFor(line, NOTHING)) {
    close()
  }
}
</script>

<template>
  <TypedPart
    test="wait"
    about="Out of the way"
    example="until Bob has answered, at the latest Monday"
    :most="120"
    missing="Say for whom, or until when."
    :usual="usual"
    :read="read"
    :set="set"
  >
    <template #button>
      <Hourglass v-if="waits" :size="13" aria-hidden="true" />
      {{ waits ? `waits ${waits}` : 'waits for nothing' }}
    </template>
    <template #below="{ close }">
      <button
        v-if="waits"
        type="button"
        class="hover:bg-kelp-wash block h-8 w-full truncate rounded px-2 text-left max-sm:h-11"
        data-test="wait-no-longer"
        @click="void waitNoLonger(close)"
      >
        Wait no longer
      </button>
    </template>
  </TypedPart>
</template>
