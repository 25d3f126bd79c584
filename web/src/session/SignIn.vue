<script setup lang="ts">
import { ref } from 'vue'
import { client, unwrap } from '@/api/client'
import { queryClient } from '@/api/queries'
import Frame from '@/session/Frame.vue'

const signIn = ref('')
const password = ref('')
const problem = ref('')
const busy = ref(false)

async function submit(): Promise<void> {
  busy.value = true
  problem.value = ''
  try {
    await unwrap(
      client.POST('/api/session', { body: { signIn: signIn.value, password: password.value } }),
    )
    await queryClient.invalidateQueries()
  } catch (error) {
    problem.value = error instanceof Error ? error.message : String(error)
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
        <input v-model="signIn" class="field" name="username" autocomplete="username" required />
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
        />
      </label>
      <p v-if="problem" class="text-rust" role="alert">{{ problem }}</p>
      <button class="btn btn-main w-full justify-center" type="submit" :disabled="busy">
        Sign in
      </button>
    </form>
  </Frame>
</template>
