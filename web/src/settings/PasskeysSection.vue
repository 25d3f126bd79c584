<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, nextTick, reactive, ref, useTemplateRef } from 'vue'
import { client, unwrap } from '@/api/client'
import { queryClient } from '@/api/queries'
import { showDone } from '@/api/toasts'
import { makePasskey, whyNoPasskeys } from '@/api/passkeys'
import RecoveryCodes from '@/settings/RecoveryCodes.vue'
import { useFieldErrors } from '@/ui/fieldErrors'
import { moment } from '@/ui/time'
import CurrentPassword from '@/settings/CurrentPassword.vue'

/** Keys that devices keep: they sign in without the password. Each change needs the password once more. */
const passkeys = useQuery({
  queryKey: ['passkeys'],
  queryFn: () => unwrap(client.GET('/api/passkeys')),
})
const all = computed(() => passkeys.data.value ?? [])
const impossible = whyNoPasskeys()
const form = reactive({ label: '', currentPassword: '' })
const removing = ref<string>()
const codes = ref<readonly string[]>([])
const errors = useFieldErrors()
const password = useTemplateRef<InstanceType<typeof CurrentPassword>>('password')

const settled = () =>
  Promise.all(
    [['passkeys'], ['second-factor'], ['accounts']].map((queryKey) =>
      queryClient.invalidateQueries({ queryKey }),
    ),
  )

const add = () =>
  errors.attempt(async () => {
    const made = await makePasskey(form.currentPassword)
    const label = form.label || 'A device'
    const added = await unwrap(client.POST('/api/passkeys', { body: { ...made, label } }))
    codes.value = added.recoveryCodes
    Object.assign(form, { label: '', currentPassword: '' })
    showDone(`${label} signs you in from now on`)
    await settled()
  })

const remove = (id: string) =>
  errors.attempt(async () => {
    const { currentPassword } = form
    await unwrap(
      client.POST('/api/passkeys/{id}/remove', {
        params: { path: { id } },
        body: { currentPassword },
      }),
    )
    form.currentPassword = ''
    removing.value = undefined
    showDone('The passkey is removed')
    await settled()
  })

async function ask(id: string | undefined): Promise<void> {
  removing.value = id
  errors.clear()
  await nextTick()
  password.value?.focus()
}
</script>

<template>
  <section class="mt-6 max-w-2xl" data-test="passkeys">
    <h2 class="font-semibold">Passkeys</h2>
    <p class="text-ink-soft">
      {{
        all.length
          ? 'A passkey signs you in without the password; the password needs a code beside it.'
          : 'A key that your device keeps, and opens by finger, face or PIN, signs you in without the password.'
      }}
    </p>
    <RecoveryCodes v-if="codes.length" :codes="codes" @kept="codes = []" />
    <ul v-if="all.length" class="bg-surface border-line my-2 rounded border">
      <li
        v-for="one in all"
        :key="one.id"
        class="border-line flex min-h-8 flex-wrap items-center gap-x-3 border-b px-3 py-1 last:border-0"
        data-test="passkey"
      >
        <b class="wrap-anywhere">{{ one.label }}</b>
        <span class="text-ink-soft"
          >at {{ one.host }}, since {{ moment(one.createdAt) }}, last used
          {{ moment(one.lastUsedAt) }}</span
        >
        <button class="btn ml-auto h-7" type="button" @click="void ask(one.id)">
          Remove<span class="sr-only"> {{ one.label }}</span>
        </button>
      </li>
    </ul>
    <form
      v-if="removing"
      class="mt-2 flex flex-wrap items-end gap-2"
      @submit.prevent="void remove(removing)"
    >
      <CurrentPassword
        ref="password"
        v-model="form.currentPassword"
        class="max-w-60"
        label="Current password, to remove it"
        :errors="errors.fields.value"
      />
      <button class="btn btn-main" type="submit" :disabled="errors.busy.value">Remove</button>
      <button class="btn btn-quiet" type="button" @click="removing = undefined">Cancel</button>
    </form>
    <p v-else-if="impossible" class="text-ink-soft mt-1" data-test="no-passkeys">
      {{ impossible }}
    </p>
    <form v-else class="mt-2 grid max-w-xl gap-3 sm:grid-cols-2" @submit.prevent="void add()">
      <label
        >What you call the device
        <input
          v-model.trim="form.label"
          class="field"
          name="passkey-label"
          maxlength="100"
          placeholder="My phone"
          autocomplete="off"
        />
      </label>
      <CurrentPassword
        v-model="form.currentPassword"
        name="passkey-proof"
        :errors="errors.fields.value"
      />
      <p><button class="btn" type="submit" :disabled="errors.busy.value">Add a passkey</button></p>
    </form>
  </section>
</template>
