<script setup lang="ts">
import { useRouter } from 'vue-router'

/** What waits in threads beside the day: who is to be chased, and which promises are to be kept. */
const { chases, promises } = defineProps<{ chases: number; promises: number }>()
const router = useRouter()

function lead(to: 'round' | 'promised'): void {
  void router.push({ name: 'threads', params: { id: '' }, query: { [to]: '' } })
}
</script>

<template>
  <button
    v-if="chases > 0"
    class="btn btn-quiet text-brass-ink h-8 px-2 max-sm:h-11"
    type="button"
    data-test="to-round"
    @click="lead('round')"
  >
    {{ chases }} to chase
  </button>
  <button
    v-if="promises > 0"
    class="btn btn-quiet text-brass-ink h-8 px-2 max-sm:h-11"
    type="button"
    data-test="to-promised"
    @click="lead('promised')"
  >
    {{ promises === 1 ? 'one promise to keep' : `${promises} promises to keep` }}
  </button>
</template>
