<script setup lang="ts">
import { computed, reactive, watch } from 'vue'
import { client, unwrap } from '@/api/client'
import { run } from '@/api/commands'
import { queryClient, useSession } from '@/api/queries'
import { showDone } from '@/api/toasts'
import InstallationSection from '@/settings/InstallationSection.vue'
import PasskeysSection from '@/settings/PasskeysSection.vue'
import AccountsSection from '@/settings/AccountsSection.vue'
import SecondFactorSection from '@/settings/SecondFactorSection.vue'
import SessionsSection from '@/settings/SessionsSection.vue'
import TakeAlongSection from '@/settings/TakeAlongSection.vue'
import FieldError from '@/ui/FieldError.vue'
import { useFieldErrors } from '@/ui/fieldErrors'
import CurrentPassword from '@/settings/CurrentPassword.vue'

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

const mine = useFieldErrors()

const save = () =>
  mine.attempt(() =>
    run(
      (header) =>
        client.PUT('/api/account', {
          params: { header },
          body: { name: form.name, zone: form.zone },
        }),
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
    <CurrentPassword v-model="form.currentPassword" :errors="mine.fields.value" />
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
  <PasskeysSection />
  <SecondFactorSection />
  <SessionsSection />
  <TakeAlongSection />
  <InstallationSection v-if="account?.administrator" />
  <AccountsSection v-if="account?.administrator" :zone="form.zone" />
</template>
