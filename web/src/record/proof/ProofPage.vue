<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRoute } from 'vue-router'
import { saveFile } from '@/files/saveFile'
import { fileOf, useProof, wishIn } from '@/record/proof/query'
import { kindText, OUTCOMES, spanText } from '@/record/proof/words'
import RecordHeading from '@/record/RecordHeading.vue'
import view from '@/record/view'
import { CLOSED_AS } from '@/threads/words'
import { useKeys } from '@/ui/keys'
import KeyHint from '@/ui/KeyHint.vue'
import Loading from '@/ui/Loading.vue'
import Note from '@/ui/Note.vue'
import { moment } from '@/ui/time'

/** What was asked when, in whose words, and answered when, with which message: for whoever doubts it. */
const route = useRoute()
const wish = computed(() => wishIn(route.query))
const proof = useProof(wish)
const saving = ref<'pdf' | 'zip'>()

async function save(ending: 'pdf' | 'zip'): Promise<void> {
  saving.value = ending
  await saveFile(fileOf(wish.value, ending), `proof.${ending}`)
  saving.value = undefined
}

function print(): void {
  window.print()
}

/** The message of an exchange, below on this page. */
function goTo(number: number): void {
  const found = document.querySelector<HTMLElement>(`#message-${number}`)
  found?.scrollIntoView({ block: 'start' })
  found?.focus({ preventScroll: true })
}

const party = (one: { name: string; address: string }) =>
  one.name ? `${one.name} <${one.address}>` : one.address

useKeys(view.name, [
  { ...view.keys.paper, run: () => void save('pdf'), when: () => proof.data.value !== undefined },
])
</script>

<template>
  <div class="flex h-full flex-col">
    <div
      class="mx-auto flex w-full max-w-4xl shrink-0 flex-wrap items-center gap-x-2 gap-y-1.5 px-3 py-2 print:hidden"
    >
      <RecordHeading />
      <span v-if="proof.data.value" class="ml-auto flex flex-wrap gap-1.5">
        <button
          class="btn btn-main max-sm:h-11"
          type="button"
          data-test="proof-pdf"
          :disabled="saving !== undefined"
          @click="void save('pdf')"
        >
          Save as PDF <KeyHint :group="view.name" :does="view.keys.paper.does" or="P" />
        </button>
        <button class="btn max-sm:h-11" type="button" @click="print">Print</button>
        <button
          class="btn max-sm:h-11"
          type="button"
          data-test="proof-zip"
          :disabled="saving !== undefined"
          @click="void save('zip')"
        >
          With the messages (ZIP)
        </button>
      </span>
    </div>
    <Note v-if="Object.keys(wish).length === 0" title="Of what shall it be?">
      <p>
        Choose somebody, a category or some days among what has ended, or open a thread, and press
        <b>Proof</b> there.
      </p>
      <RouterLink class="btn" :to="{ name: 'record' }">To what has ended</RouterLink>
    </Note>
    <Loading v-else-if="proof.isPending.value" />
    <Note v-else-if="proof.isError.value" title="This could not be put together" problem>
      <p>{{ proof.error.value?.message }} Nothing was changed.</p>
      <button class="btn" type="button" @click="void proof.refetch()">Try again</button>
    </Note>
    <article
      v-else-if="proof.data.value"
      class="min-h-0 w-full flex-1 overflow-y-auto pb-10"
      data-test="proof"
    >
      <div class="mx-auto max-w-4xl px-3">
        <h2 class="mt-2 text-xl font-semibold wrap-anywhere">{{ proof.data.value.about }}</h2>
        <p class="text-ink-soft">
          Made for {{ proof.data.value.madeFor }}, {{ moment(proof.data.value.madeAt) }}. Times are
          those of {{ proof.data.value.zone }}; spans are working time.
        </p>
        <p v-if="proof.data.value.threads.length === 0" class="mt-4">
          There is nothing: no message and no question.
        </p>
        <section v-for="thread in proof.data.value.threads" :key="thread.id" class="mt-5">
          <h3 class="border-line-strong border-b pb-1 text-lg font-semibold">
            <RouterLink
              class="hover:text-kelp wrap-anywhere"
              :to="{ name: 'threads', params: { id: thread.id } }"
              ><bdi>{{
                proof.data.value.threads.length > 1 ? thread.subject : 'Asked and answered'
              }}</bdi></RouterLink
            >
          </h3>
          <p v-if="thread.exchanges.length === 0" class="text-ink-soft mt-2">
            Nothing was asked that was recognised as a question; the messages follow.
          </p>
          <ol class="divide-line divide-y">
            <li
              v-for="(exchange, index) in thread.exchanges"
              :key="index"
              class="grid gap-x-4 py-2 sm:grid-cols-[minmax(0,1fr)_minmax(0,1fr)_6rem]"
              data-test="exchange"
            >
              <div>
                <b
                  ><bdi>{{ kindText(exchange) }}</bdi></b
                >
                <span class="text-ink-soft">, {{ moment(exchange.askedAt) }}</span>
                <button
                  v-if="exchange.asked !== null"
                  class="text-kelp ml-1 underline max-sm:min-h-11"
                  type="button"
                  @click="goTo(exchange.asked)"
                >
                  message {{ exchange.asked }}
                </button>
                <p v-if="exchange.words" class="wrap-anywhere">“{{ exchange.words }}”</p>
              </div>
              <div>
                <span :class="exchange.outcome === 'OPEN' ? 'text-brass-ink' : ''">{{
                  OUTCOMES[exchange.outcome]
                }}</span>
                <span v-if="exchange.answeredAt" class="text-ink-soft"
                  >, {{ moment(exchange.answeredAt) }}</span
                >
                <button
                  v-if="exchange.answered !== null"
                  class="text-kelp ml-1 underline max-sm:min-h-11"
                  type="button"
                  @click="goTo(exchange.answered)"
                >
                  message {{ exchange.answered }}
                </button>
                <p v-if="exchange.promisedAt" class="text-ink-soft">
                  promised {{ moment(exchange.promisedAt) }}
                  <button
                    v-if="exchange.promised !== null"
                    class="text-kelp ml-1 underline max-sm:min-h-11"
                    type="button"
                    @click="goTo(exchange.promised)"
                  >
                    message {{ exchange.promised }}
                  </button>
                </p>
              </div>
              <div class="sm:text-right">{{ spanText(exchange) }}</div>
            </li>
          </ol>
          <p v-if="thread.closedAt" class="text-ink-soft">
            Closed by hand {{ moment(thread.closedAt)
            }}{{ thread.closedFor ? `: ${CLOSED_AS[thread.closedFor]}` : '' }}.
          </p>
          <ol class="mt-3 space-y-3">
            <li
              v-for="message in thread.messages"
              :id="`message-${message.number}`"
              :key="message.number"
              class="border-line bg-surface rounded border px-3 py-2 focus:outline-2"
              tabindex="-1"
              data-test="proved-message"
            >
              <p>
                <b
                  >{{ message.number }}.
                  <bdi>{{ message.from.name || message.from.address }}</bdi></b
                ><span class="text-ink-soft">, {{ moment(message.sentAt) }}</span>
              </p>
              <p
                class="my-1 wrap-anywhere whitespace-pre-wrap"
                :class="message.removed ? 'text-ink-soft' : ''"
              >
                {{ message.removed ? 'Its writer has taken this message back.' : message.words }}
              </p>
              <p class="text-ink-soft text-sm wrap-anywhere">
                From {{ party(message.from)
                }}<template v-if="message.to.length"
                  >, to {{ message.to.map(party).join(', ') }}</template
                ><template v-if="message.cc.length"
                  >, copy to {{ message.cc.map(party).join(', ') }}</template
                >. Received by the server {{ moment(message.receivedAt) }}.
              </p>
              <p v-if="message.identity" class="text-ink-soft font-mono text-xs wrap-anywhere">
                {{ message.identity }}
              </p>
              <p v-if="message.sha256" class="text-ink-soft font-mono text-xs wrap-anywhere">
                SHA-256 {{ message.sha256 }}
              </p>
            </li>
          </ol>
          <p v-if="thread.messagesLeftOut > 0" class="text-ink-soft mt-2">
            {{ thread.messagesLeftOut }} more messages of this thread are not shown.
          </p>
        </section>
        <p v-if="proof.data.value.leftOut > 0" class="mt-4">
          {{ proof.data.value.leftOut }} more threads are not shown. Choose fewer days for the
          others.
        </p>
      </div>
    </article>
  </div>
</template>
