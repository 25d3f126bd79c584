<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { client, unwrap } from '@/api/client'
import { queryClient } from '@/api/queries'
import { showDone } from '@/api/toasts'
import RecoveryCodes from '@/settings/RecoveryCodes.vue'
import FieldError from '@/ui/FieldError.vue'
import { useFieldErrors } from '@/ui/fieldErrors'
import { qrPath } from '@/ui/qr'
import CurrentPassword from '@/settings/CurrentPassword.vue'

/** A code of a device beside the password. Each step needs the password once more. */
const state = useQuery({
  queryKey: ['second-factor'],
  queryFn: () => unwrap(client.GET('/api/second-factor')),
})
const on = computed(() => state.data.value?.on ?? false)
/** Whether recovery codes are of use: with a device, and with passkeys. */
const recoverable = computed(() => state.data.value?.passwordIsNotEnough ?? false)
const left = computed(() => state.data.value?.recoveryCodesLeft ?? 0)
const currentPassword = ref('')
const code = ref('')
const begun = ref<{ secret: string; address: string }>()
const codes = ref<readonly string[]>([])
const errors = useFieldErrors()
const picture = computed(() => (begun.value ? qrPath(begun.value.address) : undefined))
const spelled = computed(() => begun.value?.secret.replace(/(.{4})(?=.)/g, '$1 ') ?? '')

const attempt = (work: () => Promise<void>) =>
  errors.attempt(async () => {
    await work()
    await queryClient.invalidateQueries({ queryKey: ['second-factor'] })
  })

const proof = () => ({ body: { currentPassword: currentPassword.value } })

const begin = () =>
  attempt(async () => {
    begun.value = await unwrap(client.POST('/api/second-factor/begin', proof()))
    currentPassword.value = ''
  })

const confirm = () =>
  attempt(async () => {
    const answer = await unwrap(
      client.POST('/api/second-factor/confirm', { body: { code: code.value } }),
    )
    codes.value = answer.codes
    begun.value = undefined
    code.value = ''
    showDone('From now on signing in asks for a code')
  })

const renew = () =>
  attempt(async () => {
    codes.value = (await unwrap(client.POST('/api/second-factor/recovery-codes', proof()))).codes
    currentPassword.value = ''
  })

const switchOff = () =>
  attempt(async () => {
    await unwrap(client.POST('/api/second-factor/off', proof()))
    codes.value = []
    currentPassword.value = ''
    showDone('Signing in asks for the password only')
  })
</script>

<template>
  <section class="mt-6 max-w-xl" data-test="second-factor">
    <h2 class="font-semibold">A code beside the password</h2>
    <p class="text-ink-soft">
      {{
        on
          ? 'Signing in asks for a code of your device.'
          : 'A program on your phone shows a new code every half minute; signing in then asks for it.'
      }}
      <template v-if="recoverable">{{ left }} recovery codes are left.</template>
    </p>
    <RecoveryCodes v-if="codes.length" :codes="codes" @kept="codes = []" />
    <form v-else-if="begun && picture" class="mt-2 space-y-3" @submit.prevent="void confirm()">
      <div class="flex flex-wrap gap-4">
        <svg
          class="h-44 w-44 bg-white p-1 text-black"
          :viewBox="`-2 -2 ${picture.size + 4} ${picture.size + 4}`"
          role="img"
          aria-label="The secret as a picture for the device's camera"
          shape-rendering="crispEdges"
        >
          <path :d="picture.path" fill="currentColor" />
        </svg>
        <div class="min-w-52 flex-1">
          <p>Show this to the program on your phone, or type the secret there:</p>
          <p class="my-1 font-mono wrap-anywhere" data-test="secret">{{ spelled }}</p>
          <label class="mt-2 block max-w-32"
            >The code it shows
            <input
              v-model="code"
              class="field"
              name="code"
              inputmode="numeric"
              autocomplete="one-time-code"
              maxlength="7"
              required
            />
            <FieldError :of="errors.fields.value" name="code" />
          </label>
        </div>
      </div>
      <p class="flex gap-2">
        <button class="btn btn-main" type="submit" :disabled="errors.busy.value">Use it</button>
        <button class="btn btn-quiet" type="button" @click="begun = undefined">Cancel</button>
      </p>
    </form>
    <form v-else class="mt-2 space-y-2" @submit.prevent="void (on ? renew() : begin())">
      <CurrentPassword v-model="currentPassword" name="proof" :errors="errors.fields.value" />
      <p class="flex flex-wrap gap-2">
        <button v-if="!on" class="btn" type="submit" :disabled="errors.busy.value">
          Set up a device
        </button>
        <button
          v-if="recoverable"
          class="btn"
          type="button"
          :disabled="errors.busy.value || currentPassword === ''"
          @click="void renew()"
        >
          New recovery codes
        </button>
        <button
          v-if="on"
          class="btn"
          type="button"
          :disabled="errors.busy.value || currentPassword === ''"
          @click="void switchOff()"
        >
          Ask for no code any more
        </button>
      </p>
    </form>
  </section>
</template>
