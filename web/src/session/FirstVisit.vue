<script setup lang="ts">
import { ref } from 'vue'
import { client, unwrap } from '@/api/client'
import { queryClient } from '@/api/queries'
import Frame from '@/session/Frame.vue'
import FieldError from '@/ui/FieldError.vue'
import { useFieldErrors } from '@/ui/fieldErrors'

const name = ref('')
const signIn = ref('')
const password = ref('')
const problem = ref('')
const errors = useFieldErrors()
const zone = Intl.DateTimeFormat().resolvedOptions().timeZone

async function submit(): Promise<void> {
  problem.value = ''
  await errors.attempt(
    async () => {
      await unwrap(
        client.POST('/api/accounts', {
          body: { name: name.value, signIn: signIn.value, password: password.value, zone },
        }),
      )
      await queryClient.invalidateQueries()
    },
    (error) => {
      problem.value = error instanceof Error ? error.message : String(error)
    },
  )
}
</script>

<template>
  <Frame title="Make the owner's account">
    <p class="text-ink-soft mt-1">
      Nobody uses this installation yet. The first account owns it and can add others.
    </p>
    <form class="mt-4 space-y-3" @submit.prevent="void submit()">
      <label class="block"
        >Your name
        <input v-model="name" class="field" name="name" autocomplete="name" required />
      </label>
      <label class="block"
        >Name to sign in with
        <input v-model="signIn" class="field" name="username" autocomplete="username" required />
        <FieldError :of="errors.fields.value" name="signIn" />
      </label>
      <label class="block"
        >Password, ten characters or more
        <input
          v-model="password"
          class="field"
          type="password"
          name="password"
          autocomplete="new-password"
          required
        />
        <FieldError :of="errors.fields.value" name="password" />
      </label>
      <p class="text-ink-soft">Days are counted in {{ zone }}.</p>
      <p v-if="problem" class="text-rust" role="alert">{{ problem }}</p>
      <button
        class="btn btn-main w-full justify-center"
        type="submit"
        :disabled="errors.busy.value"
      >
        Make the account
      </button>
    </form>
  </Frame>
</template>
