<script setup lang="ts">
import { computed } from 'vue'
import { client } from '@/api/client'
import { run } from '@/api/commands'
import { useThread } from '@/api/queries'
import AnswersGiven from '@/threads/AnswersGiven.vue'
import { decideThreads, type ThreadChoice } from '@/threads/decide'
import Owed from '@/threads/Owed.vue'
import { beginnings, CLOSED_AS, turnText } from '@/threads/words'
import ThreadMessages from '@/message/ThreadMessages.vue'
import History from '@/ui/History.vue'
import Loading from '@/ui/Loading.vue'
import Note from '@/ui/Note.vue'
import Sheet from '@/ui/Sheet.vue'
import { workingSpan } from '@/ui/time'
import Trace from '@/ui/Trace.vue'

const { id, pointed } = defineProps<{ id: string; pointed?: string | undefined }>()
const emit = defineEmits<{ close: []; point: [messageId: string] }>()
const thread = useThread(() => id)
const line = computed(() => thread.data.value?.line)

const begun = computed(() => beginnings(thread.data.value?.messages ?? []))

const decide = (choice: ThreadChoice) => decideThreads([id], choice)
const split = (messageId: string) =>
  run((header) =>
    client.POST('/api/threads/{id}/split/{messageId}', {
      params: { path: { id, messageId }, header },
    }),
  )
</script>

<template>
  <Sheet :title="line?.subject || 'Thread'" @close="emit('close')">
    <Loading v-if="thread.isPending.value" />
    <Note v-else-if="thread.isError.value" title="This thread could not be loaded" problem>
      <p>{{ thread.error.value?.message }}</p>
    </Note>
    <template v-else-if="line && thread.data.value">
      <div class="border-line bg-surface top-0 z-10 border-b px-4 py-3 sm:sticky">
        <div class="flex flex-wrap items-center gap-3">
          <b data-test="turn">{{ turnText(line) }}</b>
          <span class="text-ink-soft"
            >silent for {{ workingSpan(line.silenceWorkingMinutes) }}</span
          >
          <Trace
            :thread="line"
            :now="thread.data.value.now"
            :width="300"
            :words="begun"
            walked
            @choose="(messageId) => emit('point', messageId)"
          />
        </div>
        <Owed :line="line" />
        <AnswersGiven
          :thread-id="id"
          :answers="thread.data.value.answers"
          :closed="line.turn === 'CLOSED'"
          @close="void decide({ choice: 'CLOSE', reason: 'ANSWERED' })"
          @point="(messageId) => emit('point', messageId)"
        />
        <p v-if="line.closingWord" class="text-brass-ink mt-1" data-test="last-word">
          The last word was said: it can be closed.
        </p>
        <p v-if="line.attention !== 'MINE'" class="text-ink-soft mt-1" data-test="attention">
          {{
            line.attention === 'WATCHED' ? 'You only watch this one.' : 'This one is not for you.'
          }}
          <button class="btn h-7" type="button" @click="void decide({ choice: 'OPEN_AGAIN' })">
            It is mine again
          </button>
        </p>
        <p v-if="line.openedAgain" class="text-brass-ink mt-1">
          Opened again, since they ask something.
        </p>
        <div class="mt-2 flex flex-wrap gap-2">
          <template v-if="line.turn !== 'CLOSED'">
            <span class="self-center">Close as</span>
            <button
              v-for="(text, reason) in CLOSED_AS"
              :key="reason"
              class="btn h-7"
              type="button"
              :data-test="`close-${reason}`"
              @click="void decide({ choice: 'CLOSE', reason })"
            >
              {{ text }}
            </button>
          </template>
          <button
            v-else
            class="btn h-7"
            type="button"
            data-test="open-again"
            @click="void decide({ choice: 'OPEN_AGAIN' })"
          >
            Open again
          </button>
          <RouterLink
            class="text-ink-soft hover:text-kelp ml-auto self-center underline max-sm:py-3"
            data-test="thread-proof"
            :to="{ name: 'record', params: { part: 'proof' }, query: { thread: id } }"
            >Proof of what was asked and answered</RouterLink
          >
        </div>
        <div v-if="line.turn === 'WITH_ME'" class="mt-2 flex flex-wrap gap-2">
          <button class="btn h-7" type="button" @click="void decide({ choice: 'NO_REPLY_OWED' })">
            No reply owed
          </button>
          <button class="btn h-7" type="button" @click="void decide({ choice: 'THEIR_TURN' })">
            It is their turn
          </button>
        </div>
      </div>
      <ThreadMessages
        :messages="thread.data.value.messages"
        :pointed="pointed"
        :since="thread.data.value.lastDecided ?? undefined"
        new-words="new since you decided"
        fold
        newest
      >
        <template #beside="{ message, place }">
          <button
            v-if="place > 0"
            class="text-ink-soft hover:text-kelp ml-auto text-sm"
            type="button"
            data-test="split"
            title="Another matter begins here: what answers this message goes along into a thread of its own"
            @click="void split(message.id)"
          >
            Split here
          </button>
        </template>
      </ThreadMessages>
      <History :subject-id="id" />
    </template>
  </Sheet>
</template>
