<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { nextTick, reactive, ref, useTemplateRef } from 'vue'
import { client, unwrap } from '@/api/client'
import { queryClient } from '@/api/queries'
import { showDone } from '@/api/toasts'
import FieldError from '@/ui/FieldError.vue'
import { useFieldErrors } from '@/ui/fieldErrors'
import CurrentPassword from '@/settings/CurrentPassword.vue'

/** Who else signs in here; only administrators see it. A new account begins in the administrator's zone. */
const props = defineProps<{ zone: string }>()
const accounts = useQuery({
  queryKey: ['accounts'],
  queryFn: () => unwrap(client.GET('/api/accounts')),
})
const fresh = reactive({ name: '', signIn: '', password: '' })
const helping = ref<{ id: string; name: string }>()
const currentPassword = ref('')
const password = useTemplateRef<InstanceType<typeof CurrentPassword>>('password')
const errors = useFieldErrors()

const add = () =>
  errors.attempt(async () => {
    const added = await unwrap(
      client.POST('/api/accounts', { body: { ...fresh, zone: props.zone } }),
    )
    Object.assign(fresh, { name: '', signIn: '', password: '' })
    showDone(`${added.name} can sign in as ${added.signIn}`)
    await queryClient.invalidateQueries()
  })

async function ask(id: string): Promise<void> {
  helping.value = accounts.data.value?.find((one) => one.id === id)
  errors.clear()
  await nextTick()
  password.value?.focus()
}

const passwordOnly = () =>
  errors.attempt(async () => {
    const { id, name } = helping.value ?? { id: '', name: '' }
    await unwrap(
      client.POST('/api/accounts/{id}/password-only', {
        params: { path: { id } },
        body: { currentPassword: currentPassword.value },
      }),
    )
    currentPassword.value = ''
    helping.value = undefined
    showDone(`${name} signs in by password only`)
    await queryClient.invalidateQueries()
  })
</script>

<template>
  <section class="mt-6 max-w-xl" data-test="accounts">
    <h2 class="font-semibold">Accounts in this installation</h2>
    <p class="text-ink-soft">Each one sees only its own messages and follow-ups.</p>
    <ul class="bg-surface border-line my-2 rounded border">
      <li
        v-for="other in accounts.data.value"
        :key="other.id"
        class="border-line flex min-h-8 flex-wrap items-center gap-x-3 border-b px-3 py-1 last:border-0"
      >
        <b>{{ other.name }}</b> <span class="text-ink-soft">signs in as {{ other.signIn }}</span>
        <button
          v-if="other.secondFactor"
          class="btn ml-auto h-7"
          type="button"
          @click="void ask(other.id)"
        >
          Lost device …<span class="sr-only"> of {{ other.name }}</span>
        </button>
      </li>
    </ul>
    <form
      v-if="helping"
      class="mb-3 space-y-2"
      data-test="password-only"
      @submit.prevent="void passwordOnly()"
    >
      <p>
        {{ helping.name }} will sign in by password only: device, passkeys and recovery codes are
        forgotten. Make sure that it is {{ helping.name }} who asks.
      </p>
      <div class="flex flex-wrap items-end gap-2">
        <CurrentPassword
          ref="password"
          v-model="currentPassword"
          class="max-w-60"
          label="Your password"
          :errors="errors.fields.value"
        />
        <button class="btn btn-main" type="submit" :disabled="errors.busy.value">
          Password only
        </button>
        <button class="btn btn-quiet" type="button" @click="helping = undefined">Cancel</button>
      </div>
    </form>
    <form class="grid gap-3 sm:grid-cols-2" data-test="add-account" @submit.prevent="void add()">
      <label>Name <input v-model.trim="fresh.name" class="field" name="new-name" required /></label>
      <label
        >Name to sign in with
        <input
          v-model.trim="fresh.signIn"
          class="field"
          name="new-sign-in"
          autocomplete="off"
          required
        />
        <FieldError :of="errors.fields.value" name="signIn" />
      </label>
      <label
        >Password
        <input
          v-model="fresh.password"
          class="field"
          name="new-password"
          type="password"
          autocomplete="new-password"
          required
        />
        <FieldError :of="errors.fields.value" name="password" />
      </label>
      <p class="self-end">
        <button class="btn" type="submit" :disabled="errors.busy.value">Add account</button>
      </p>
    </form>
  </section>
</template>
