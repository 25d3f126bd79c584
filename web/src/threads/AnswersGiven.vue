<script setup lang="ts">
import { computed, ref } from 'vue'
import { client, type AnswerView } from '@/api/client'
import { run } from '@/api/commands'
import { vFocus } from '@/ui/focus'
import { moment } from '@/ui/time'

/** What counts as an answer in a thread, with a word for each that does not, or only in part. */
const { threadId, answers, closed } = defineProps<{
  threadId: string
  answers: readonly AnswerView[]
  closed: boolean
}>()
const emit = defineEmits<{ close: []; point: [messageId: string] }>()

/** Older ones are settled long since. */
const SHOWN = 3
const all = ref(false)
const shown = computed(() => (all.value ? answers : answers.slice(0, SHOWN)))
const asking = ref<{ id: string; what: 'no' | 'part' }>()
const missing = ref('')

async function say(
  one: AnswerView,
  verdict: AnswerView['verdict'],
  more: { missing?: string; always?: boolean } = {},
): Promise<void> {
  const done = await run((header) =>
    client.PUT('/api/threads/{id}/answers/{messageId}', {
      params: { path: { id: threadId, messageId: one.messageId }, header },
      body: { verdict, missing: more.missing ?? '', always: more.always ?? false },
    }),
  )
  if (done) {
    asking.value = undefined
    missing.value = ''
  }
}
</script>

<template>
  <ul v-if="answers.length" class="mt-2 space-y-1" data-test="answers">
    <li v-for="one in shown" :key="one.messageId" class="flex flex-wrap items-baseline gap-x-2">
      <span class="min-w-0">
        <b class="text-dusk"
          ><bdi>{{ one.name }}</bdi></b
        >
        <template v-if="one.verdict === 'ANSWER'"> answered on </template>
        <template v-else-if="one.verdict === 'PARTLY'"> answered in part on </template>
        <template v-else> wrote, which is no answer, on </template>
        {{ moment(one.at) }}:
        <button
          class="link text-left wrap-anywhere"
          type="button"
          :title="one.what ? `You asked: ${one.what}` : ''"
          @click="emit('point', one.messageId)"
        >
          “{{ one.words }}”
        </button>
        <span v-if="one.missing" class="text-brass-ink"> still missing: “{{ one.missing }}”</span>
      </span>
      <span v-if="asking?.id !== one.messageId" class="flex flex-wrap gap-1">
        <template v-if="one.verdict === 'ANSWER'">
          <button
            class="btn btn-quiet h-7 px-2"
            type="button"
            data-test="no-answer"
            @click="asking = { id: one.messageId, what: 'no' }"
          >
            That is not what I asked
          </button>
          <button
            class="btn btn-quiet h-7 px-2"
            type="button"
            data-test="part-answer"
            @click="asking = { id: one.messageId, what: 'part' }"
          >
            Partly
          </button>
          <button
            v-if="!closed"
            class="btn btn-quiet h-7 px-2"
            type="button"
            data-test="all-i-need"
            @click="emit('close')"
          >
            It is all I need
          </button>
        </template>
        <button
          v-else
          class="btn btn-quiet h-7 px-2"
          type="button"
          data-test="is-answer"
          @click="void say(one, 'ANSWER')"
        >
          It is an answer
        </button>
      </span>
      <span v-else-if="asking.what === 'no'" class="flex flex-wrap items-center gap-1">
        <button
          v-focus
          class="btn btn-main h-7"
          type="button"
          data-test="no-answer-once"
          @click="void say(one, 'NO_ANSWER')"
        >
          Only this one
        </button>
        <button
          class="btn h-7"
          type="button"
          data-test="no-answer-always"
          title="Messages that say the same, or only thank or confirm, leave them awaited from now on"
          @click="void say(one, 'NO_ANSWER', { always: true })"
        >
          All like it from <bdi>{{ one.name }}</bdi>
        </button>
        <button class="btn btn-quiet h-7" type="button" @click="asking = undefined">Cancel</button>
      </span>
      <form
        v-else
        class="flex flex-wrap items-center gap-1"
        @submit.prevent="void say(one, 'PARTLY', { missing })"
        @keydown.esc.stop="asking = undefined"
      >
        <input
          v-model="missing"
          v-focus
          class="field h-7 w-72 max-w-full"
          maxlength="2000"
          placeholder="What is still missing?"
          aria-label="What is still missing"
          data-test="missing"
        />
        <button class="btn btn-main h-7" type="submit">That is missing</button>
        <button class="btn btn-quiet h-7" type="button" @click="asking = undefined">Cancel</button>
      </form>
    </li>
    <li v-if="answers.length > shown.length">
      <button class="link" type="button" @click="all = true">
        {{ answers.length - shown.length }} more answers
      </button>
    </li>
  </ul>
</template>
