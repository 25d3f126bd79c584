<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, reactive, ref } from 'vue'
import { client, unwrap, type TokenView } from '@/api/client'
import { queryClient } from '@/api/queries'
import { showDone } from '@/api/toasts'
import CurrentPassword from '@/settings/CurrentPassword.vue'
import ShownOnce from '@/settings/ShownOnce.vue'
import { useFieldErrors } from '@/ui/fieldErrors'
import { now } from '@/ui/accountCalendar'
import { moment } from '@/ui/time'

/** What scripts show to act for the account. */
type Scope = TokenView['scopes'][number]
const SCOPES: readonly { scope: Scope; does: string }[] = [
  { scope: 'READ', does: 'look at everything of yours, and save it' },
  { scope: 'ADD', does: 'make follow-ups and take in files, without seeing anything' },
  { scope: 'CHANGE', does: 'change whatever you can change in the views' },
]
const SPANS = [
  { days: 7, words: 'a week' },
  { days: 30, words: 'a month' },
  { days: 91, words: 'three months' },
  { days: 366, words: 'a year' },
]

const tokens = useQuery({
  queryKey: ['tokens'],
  queryFn: () => unwrap(client.GET('/api/tokens')),
})
const form = reactive({ name: '', scopes: ['READ'] as Scope[], days: 91, currentPassword: '' })
const shown = ref<string>()
const errors = useFieldErrors()
const all = computed(() => tokens.data.value ?? [])
const wordsOf = (scope: Scope) => SCOPES.find((each) => each.scope === scope)?.does ?? scope
const hasEnded = (token: TokenView) => new Date(token.expiresAt) <= now()

const settled = () => queryClient.invalidateQueries({ queryKey: ['tokens'] })

const make = () =>
  errors.attempt(async () => {
    const made = await unwrap(client.POST('/api/tokens', { body: { ...form } }))
    shown.value = made.token
    Object.assign(form, { name: '', currentPassword: '' })
    await settled()
  })

const end = (token: TokenView) =>
  errors.attempt(async () => {
    await unwrap(client.DELETE('/api/tokens/{id}', { params: { path: { id: token.id } } }))
    showDone(`${token.name} is worth nothing any more`)
    await settled()
  })
</script>

<template>
  <section class="mt-4 max-w-2xl" data-test="tokens">
    <h2 class="font-semibold">Tokens</h2>
    <p class="text-ink-soft">
      Whoever has one does with your account what it allows, without your password; so give each
      script its own, with no more than it needs. None reaches your password, sources, tokens or
      webhooks.
    </p>
    <ShownOnce v-if="shown" :secret="shown" label="The token" @kept="shown = undefined" />
    <ul v-if="all.length" class="bg-surface border-line my-2 rounded border">
      <li
        v-for="token in all"
        :key="token.id"
        class="border-line flex flex-wrap items-center gap-x-3 border-b px-3 py-1.5 last:border-0"
        data-test="token"
      >
        <span class="min-w-0 flex-1">
          <b class="wrap-anywhere">{{ token.name }}</b>
          may {{ token.scopes.map(wordsOf).join('; ') }}
          <span class="block text-sm" :class="hasEnded(token) ? 'text-rust' : 'text-ink-soft'"
            >{{ hasEnded(token) ? 'ended' : 'until' }} {{ moment(token.expiresAt) }},
            {{ token.lastUsedAt ? `last used ${moment(token.lastUsedAt)}` : 'not used yet' }}</span
          >
        </span>
        <button class="btn h-7 max-sm:h-11" type="button" @click="void end(token)">
          {{ hasEnded(token) ? 'Take away' : 'End it now'
          }}<span class="sr-only"> {{ token.name }}</span>
        </button>
      </li>
    </ul>
    <form class="mt-2 grid gap-3 sm:grid-cols-2" @submit.prevent="void make()">
      <label
        >What it is for
        <input
          v-model.trim="form.name"
          class="field"
          name="token-name"
          maxlength="100"
          placeholder="Backup at night"
          autocomplete="off"
          required
        />
      </label>
      <label
        >Good for
        <select v-model="form.days" class="field" name="token-days">
          <option v-for="span in SPANS" :key="span.days" :value="span.days">
            {{ span.words }}
          </option>
        </select>
      </label>
      <fieldset class="sm:col-span-2">
        <legend>It may</legend>
        <label
          v-for="each in SCOPES"
          :key="each.scope"
          class="flex min-h-7 items-center gap-1.5 max-sm:min-h-11"
        >
          <input v-model="form.scopes" type="checkbox" :value="each.scope" name="token-scope" />
          {{ each.does }}
        </label>
      </fieldset>
      <CurrentPassword
        v-model="form.currentPassword"
        name="token-proof"
        :errors="errors.fields.value"
      />
      <p class="self-end">
        <button
          class="btn max-sm:h-11"
          type="submit"
          :disabled="errors.busy.value || form.scopes.length === 0"
        >
          Make a token
        </button>
      </p>
    </form>
  </section>
</template>
