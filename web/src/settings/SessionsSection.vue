<script setup lang="ts">
import { useMutation, useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { client, unwrap } from '@/api/client'
import { queryClient } from '@/api/queries'
import { showDone, showProblem } from '@/api/toasts'
import { moment } from '@/ui/time'

/** Where the account is signed in, and a way to end that. */
const sessions = useQuery({
  queryKey: ['sessions'],
  queryFn: () => unwrap(client.GET('/api/sessions')),
})
const others = computed(() => (sessions.data.value ?? []).filter((one) => !one.current))

function reload(): void {
  void queryClient.invalidateQueries({ queryKey: ['sessions'] })
}

const end = useMutation({
  mutationFn: (id: string) =>
    unwrap(client.DELETE('/api/sessions/{id}', { params: { path: { id } } })),
  onSuccess: () => {
    showDone('Signed out there')
  },
  onError: showProblem,
  onSettled: reload,
})
const endOthers = useMutation({
  mutationFn: () => unwrap(client.DELETE('/api/sessions')),
  onSuccess: (ended) => {
    showDone(`Signed out in ${ended.sessions} other ${ended.sessions === 1 ? 'place' : 'places'}`)
  },
  onError: showProblem,
  onSettled: reload,
})
</script>

<template>
  <section class="mt-6 max-w-2xl" data-test="sessions">
    <h2 class="font-semibold">Where you are signed in</h2>
    <p class="text-ink-soft">A new password signs out everywhere but here.</p>
    <ul class="bg-surface border-line my-2 rounded border">
      <li
        v-for="one in sessions.data.value ?? []"
        :key="one.id"
        class="border-line flex min-h-8 flex-wrap items-center gap-x-3 border-b px-3 py-1 last:border-0"
        data-test="session"
      >
        <b>{{ one.device }}</b>
        <span v-if="one.current" class="text-kelp">this browser</span>
        <span class="text-ink-soft"
          >since {{ moment(one.since) }}, last used {{ moment(one.lastSeenAt) }}</span
        >
        <button
          v-if="!one.current"
          class="btn ml-auto h-7"
          type="button"
          :disabled="end.isPending.value"
          @click="end.mutate(one.id)"
        >
          Sign out there
        </button>
      </li>
    </ul>
    <button
      v-if="others.length > 1"
      class="btn"
      type="button"
      :disabled="endOthers.isPending.value"
      @click="endOthers.mutate()"
    >
      Sign out everywhere else
    </button>
  </section>
</template>
