<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { client, unwrap } from '@/api/client'
import { run } from '@/api/commands'

/** Reply-by dates and planned times as a calendar for other programs, under an address that only I know. */
const feed = useQuery({
  queryKey: ['calendars', 'feed'],
  queryFn: () => unwrap(client.GET('/api/feed')),
})
const address = computed(() =>
  feed.data.value?.path ? `${location.origin}${feed.data.value.path}` : '',
)

const renew = () => run((header) => client.POST('/api/feed', { params: { header } }), 'final')
const end = () => run((header) => client.DELETE('/api/feed', { params: { header } }), 'final')

function select(event: Event): void {
  ;(event.target as HTMLInputElement).select()
}
</script>

<template>
  <section v-if="feed.data.value" class="mt-5" data-test="feed">
    <h2 class="font-semibold">Your dates in other programs</h2>
    <p class="text-ink-soft mb-2">
      Reply-by dates and planned times as a calendar to subscribe to. Whoever has its address can
      read it, without signing in.
    </p>
    <div class="flex flex-wrap items-center gap-2">
      <input
        v-if="address"
        class="field min-w-0 flex-1"
        :value="address"
        readonly
        aria-label="The address of your calendar"
        data-test="feed-address"
        @focus="select"
      />
      <button class="btn max-sm:h-11" type="button" @click="void renew()">
        {{ address ? 'New address' : 'Make an address' }}
      </button>
      <button v-if="address" class="btn btn-quiet max-sm:h-11" type="button" @click="void end()">
        Give it out no more
      </button>
    </div>
  </section>
</template>
