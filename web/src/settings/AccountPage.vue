<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, reactive, watch } from 'vue'
import { client, unwrap } from '@/api/client'
import { run } from '@/api/commands'
import { queryClient, useSession } from '@/api/queries'
import { showDone } from '@/api/toasts'
import InstallationSection from '@/settings/InstallationSection.vue'
import SecondFactorSection from '@/settings/SecondFactorSection.vue'
import SessionsSection from '@/settings/SessionsSection.vue'
import FieldError from '@/ui/FieldError.vue'
import { useFieldErrors } from '@/ui/fieldErrors'

const session = useSession()
const account = computed(() => session.data.value?.account ?? undefined)
const form = reactive({ name: '', zone: '', currentPassword: '', newPassword: '' })
watch(
  account,
  (now) => {
    Object.assign(form, { name: now?.name ?? '', zone: now?.zone ?? '' })
  },
  { immediate: true },
)
const ZONES = Intl.supportedValuesOf('timeZone')

const others = useQuery({
  queryKey: ['accounts'],
  queryFn: () => unwrap(client.GET('/api/accounts')),
  enabled: computed(() => account.value?.administrator ?? false),
})
const fresh = reactive({ name: '', signIn: '', password: '' })
const mine = useFieldErrors()
const theirs = useFieldErrors()

const save = () =>
  mine.attempt(() =>
    run(
      (header) =>
        client.PUT('/api/account', {
          params: { header },
          body: { name: form.name, zone: form.zone },
        }),
      ['SETTINGS', 'INTAKE', 'FOLLOW_UPS', 'THREADS', 'READING'],
      'undoable',
      mine.take,
    ),
  )

const changePassword = () =>
  mine.attempt(async () => {
    const { currentPassword, newPassword } = form
    await unwrap(client.PUT('/api/account/password', { body: { currentPassword, newPassword } }))
    Object.assign(form, { currentPassword: '', newPassword: '' })
    showDone('The new password holds; other browsers are signed out')
    await queryClient.invalidateQueries()
  })

const add = () =>
  theirs.attempt(async () => {
    const added = await unwrap(
      client.POST('/api/accounts', { body: { ...fresh, zone: form.zone } }),
    )
    Object.assign(fresh, { name: '', signIn: '', password: '' })
    showDone(`${added.name} can sign in as ${added.signIn}`)
    await queryClient.invalidateQueries()
  })
</script>

<template>
  <h1 class="text-lg font-semibold">Account</h1>
  <form class="mt-2 grid max-w-xl gap-3 sm:grid-cols-2" @submit.prevent="void save()">
    <label>Your name <input v-model.trim="form.name" class="field" name="name" required /></label>
    <label
      >Time zone, in which days are counted
      <select v-model="form.zone" class="field" name="zone">
        <option v-if="!ZONES.includes(form.zone)" :value="form.zone">{{ form.zone }}</option>
        <option v-for="zone in ZONES" :key="zone" :value="zone">{{ zone }}</option>
      </select>
      <FieldError :of="mine.fields.value" name="zone" />
    </label>
    <p><button class="btn btn-main" type="submit" :disabled="mine.busy.value">Save</button></p>
  </form>
  <form
    class="mt-4 grid max-w-xl gap-3 sm:grid-cols-2"
    data-test="password"
    @submit.prevent="void changePassword()"
  >
    <label
      >Current password
      <input
        v-model="form.currentPassword"
        class="field"
        type="password"
        autocomplete="current-password"
        required
      />
      <FieldError :of="mine.fields.value" name="currentPassword" />
    </label>
    <label
      >New password
      <input
        v-model="form.newPassword"
        class="field"
        type="password"
        autocomplete="new-password"
        placeholder="ten characters or more"
        required
      />
      <FieldError :of="mine.fields.value" name="newPassword" />
    </label>
    <p>
      <button class="btn" type="submit" :disabled="mine.busy.value">Change the password</button>
    </p>
  </form>
  <SecondFactorSection />
  <SessionsSection />
  <InstallationSection v-if="account?.administrator" />
  <section v-if="account?.administrator" class="mt-6 max-w-xl">
    <h2 class="font-semibold">Accounts in this installation</h2>
    <p class="text-ink-soft">Each one sees only its own messages and follow-ups.</p>
    <ul class="bg-surface border-line my-2 rounded border">
      <li
        v-for="other in others.data.value"
        :key="other.id"
        class="border-line flex h-8 items-center gap-3 border-b px-3 last:border-0"
      >
        <b>{{ other.name }}</b> <span class="text-ink-soft">signs in as {{ other.signIn }}</span>
      </li>
    </ul>
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
        <FieldError :of="theirs.fields.value" name="signIn" />
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
        <FieldError :of="theirs.fields.value" name="password" />
      </label>
      <p class="self-end">
        <button class="btn" type="submit" :disabled="theirs.busy.value">Add account</button>
      </p>
    </form>
  </section>
</template>
