<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, reactive, ref } from 'vue'
import { client, unwrap, type WebhookView } from '@/api/client'
import { run } from '@/api/commands'
import { queryClient } from '@/api/queries'
import { showDone } from '@/api/toasts'
import ShownOnce from '@/settings/ShownOnce.vue'
import FieldError from '@/ui/FieldError.vue'
import { useFieldErrors } from '@/ui/fieldErrors'
import { moment } from '@/ui/time'

/** Addresses that are told of what happens, each in its order and until it takes it. */
type Only = 'INTAKE' | 'FOLLOW_UPS' | 'THREADS'
const WISHES: readonly { only: readonly Only[]; words: string }[] = [
  { only: [], words: 'everything' },
  { only: ['INTAKE'], words: 'messages that come in and what is decided of them' },
  { only: ['FOLLOW_UPS'], words: 'follow-ups' },
  { only: ['THREADS'], words: 'threads' },
]

const webhooks = useQuery({
  queryKey: ['webhooks'],
  queryFn: () => unwrap(client.GET('/api/webhooks')),
})
const all = computed(() => webhooks.data.value ?? [])
const form = reactive({ name: '', url: '', wish: 0 })
const secret = ref<string>()
const tried = ref<Readonly<Record<string, string>>>({})
const errors = useFieldErrors()

const wordsOf = (webhook: WebhookView) =>
  WISHES.find((each) => each.only.join() === webhook.only.join())?.words ?? webhook.only.join(', ')

const make = () =>
  errors.attempt(async () => {
    const { name, url, wish } = form
    const made = await unwrap(
      client.POST('/api/webhooks', {
        body: { name, url, only: [...(WISHES[wish]?.only ?? [])] },
      }),
    )
    secret.value = made.secret
    Object.assign(form, { name: '', url: '' })
    await queryClient.invalidateQueries({ queryKey: ['webhooks'] })
  })

const tryOut = (webhook: WebhookView) =>
  errors.attempt(async () => {
    tried.value = { ...tried.value, [webhook.id]: 'Trying …' }
    const { problem } = await unwrap(
      client.POST('/api/webhooks/{id}/try', { params: { path: { id: webhook.id } } }),
    )
    tried.value = { ...tried.value, [webhook.id]: problem || 'It was taken.' }
  })

const goOn = (id: string) =>
  run(
    (header) => client.POST('/api/webhooks/{id}/go-on', { params: { path: { id }, header } }),
    'final',
  )

async function end(webhook: WebhookView): Promise<void> {
  const done = await run(
    (header) =>
      client.DELETE('/api/webhooks/{id}', { params: { path: { id: webhook.id }, header } }),
    'final',
  )
  if (done) {
    showDone(`${webhook.name} is told no more`)
  }
}
</script>

<template>
  <section class="mt-6 max-w-2xl" data-test="webhooks">
    <h2 class="font-semibold">Webhooks</h2>
    <p class="text-ink-soft">
      What happens is sent to an address, signed, in its order, and again until it is taken: after
      five seconds, then ever later, for three days.
    </p>
    <ShownOnce
      v-if="secret"
      :secret="secret"
      label="The secret of its signatures"
      @kept="secret = undefined"
    />
    <ul v-if="all.length" class="bg-surface border-line my-2 rounded border">
      <li
        v-for="webhook in all"
        :key="webhook.id"
        class="border-line flex flex-wrap items-center gap-x-3 gap-y-1 border-b px-3 py-1.5 last:border-0"
        data-test="webhook"
      >
        <span class="min-w-0 flex-1 basis-64">
          <b class="wrap-anywhere">{{ webhook.name }}</b> is told of {{ wordsOf(webhook) }}
          <span class="text-ink-soft block truncate text-sm">{{ webhook.url }}</span>
          <span v-if="webhook.problem" class="text-rust block text-sm"
            >{{ webhook.problem }}
            {{
              webhook.stopped
                ? 'Nothing is sent until you let it go on.'
                : webhook.nextAt
                  ? `Tried ${webhook.attempts === 1 ? 'once' : `${webhook.attempts} times`}, again ${moment(webhook.nextAt)}.`
                  : ''
            }}</span
          >
          <span v-else class="text-ink-soft block text-sm">{{
            webhook.lastTakenAt ? `last taken ${moment(webhook.lastTakenAt)}` : 'nothing sent yet'
          }}</span>
          <span v-if="tried[webhook.id]" class="block text-sm" role="status">{{
            tried[webhook.id]
          }}</span>
        </span>
        <button
          v-if="webhook.problem"
          class="btn h-7 max-sm:h-11"
          type="button"
          @click="void goOn(webhook.id)"
        >
          {{ webhook.stopped ? 'Go on' : 'Try again now' }}
        </button>
        <button class="btn h-7 max-sm:h-11" type="button" @click="void tryOut(webhook)">
          Send a trial
        </button>
        <button class="btn h-7 max-sm:h-11" type="button" @click="void end(webhook)">
          Take away<span class="sr-only"> {{ webhook.name }}</span>
        </button>
      </li>
    </ul>
    <form class="mt-2 grid gap-3 sm:grid-cols-2" @submit.prevent="void make()">
      <label
        >What it is for
        <input
          v-model.trim="form.name"
          class="field"
          name="webhook-name"
          maxlength="100"
          placeholder="The board in the harbour office"
          autocomplete="off"
          required
        />
      </label>
      <label
        >Told of
        <select v-model="form.wish" class="field" name="webhook-only">
          <option v-for="(each, place) in WISHES" :key="place" :value="place">
            {{ each.words }}
          </option>
        </select>
      </label>
      <label class="sm:col-span-2"
        >Address
        <input
          v-model.trim="form.url"
          class="field"
          name="webhook-url"
          type="url"
          maxlength="2000"
          placeholder="https://board.merrowquay.example/squallnote"
          autocomplete="off"
          required
        />
        <FieldError :of="errors.fields.value" name="url" />
      </label>
      <p>
        <button class="btn max-sm:h-11" type="submit" :disabled="errors.busy.value">
          Add a webhook
        </button>
      </p>
    </form>
  </section>
</template>
