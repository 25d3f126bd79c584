<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core'
import { nextTick, ref, useTemplateRef } from 'vue'
import { client, Problem, unwrap } from '@/api/client'
import { queryClient } from '@/api/queries'
import { signInWithPasskey, whyNoPasskeys } from '@/api/passkeys'
import Frame from '@/session/Frame.vue'

const signIn = ref('')
const password = ref('')
const code = ref('')
/** What the code is one of, when one is needed. */
const codeOf = ref<'DEVICE' | 'RECOVERY'>()
const passkeysImpossible = whyNoPasskeys()
const problem = ref('')
const busy = ref(false)
const codeField = useTemplateRef<HTMLInputElement>('codeField')
/** Seconds until the next try is taken; it is made by itself then. */
const waiting = ref(0)

const countdown = useIntervalFn(
  () => {
    waiting.value -= 1
    if (waiting.value <= 0) {
      countdown.pause()
      void submit()
    }
  },
  1_000,
  { immediate: false },
)

function stopWaiting(): void {
  countdown.pause()
  waiting.value = 0
  problem.value = ''
}

function say(error: unknown): void {
  problem.value = error instanceof Error ? error.message : String(error)
}

async function submit(): Promise<void> {
  busy.value = true
  problem.value = ''
  try {
    const body = { signIn: signIn.value, password: password.value, code: code.value }
    const { state } = await unwrap(client.POST('/api/session', { body }))
    if (state === 'SIGNED_IN') {
      await queryClient.invalidateQueries()
    } else {
      codeOf.value = state === 'CODE_NEEDED' ? 'DEVICE' : 'RECOVERY'
      await nextTick()
      codeField.value?.focus()
    }
  } catch (error) {
    if (error instanceof Problem && error.retryAfterSeconds > 0) {
      waiting.value = error.retryAfterSeconds
      countdown.resume()
    } else {
      say(error)
    }
  } finally {
    busy.value = false
  }
}

async function byPasskey(): Promise<void> {
  busy.value = true
  stopWaiting()
  try {
    await signInWithPasskey()
    await queryClient.invalidateQueries()
  } catch (error) {
    say(error)
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <Frame title="Sign in">
    <form class="mt-4 space-y-3" @submit.prevent="void submit()">
      <label class="block"
        >Name
        <input
          v-model="signIn"
          class="field"
          name="username"
          autocomplete="username"
          required
          @input="stopWaiting"
        />
      </label>
      <label class="block"
        >Password
        <input
          v-model="password"
          class="field"
          type="password"
          name="password"
          autocomplete="current-password"
          required
          @input="stopWaiting"
        />
      </label>
      <label v-if="codeOf" class="block"
        >{{
          codeOf === 'DEVICE'
            ? 'Code of your device, or a recovery code'
            : 'Recovery code, if your passkey is not at hand'
        }}
        <input
          ref="codeField"
          v-model="code"
          class="field"
          name="code"
          autocomplete="one-time-code"
          maxlength="24"
          required
          @input="stopWaiting"
        />
      </label>
      <p v-if="problem" class="text-rust" role="alert">{{ problem }}</p>
      <p v-if="waiting > 0" class="text-brass-ink" role="status" data-test="waiting">
        The password or the code was wrong several times. It is tried again in {{ waiting }}
        {{ waiting === 1 ? 'second' : 'seconds' }}; nothing is locked.
      </p>
      <button
        class="btn btn-main w-full justify-center"
        type="submit"
        :disabled="busy || waiting > 0"
      >
        Sign in
      </button>
      <button
        v-if="!passkeysImpossible"
        class="btn w-full justify-center"
        type="button"
        data-test="passkey"
        :disabled="busy"
        @click="void byPasskey()"
      >
        Use a passkey
      </button>
    </form>
  </Frame>
</template>
