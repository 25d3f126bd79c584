<script setup lang="ts">
import { useStorage } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { useHereAndNow } from '@/api/followUpQueries'
import { effortText } from '@/ui/effort'

/** Where I am and how long there is; the list shows what fits. */
const emit = defineEmits<{ fits: [ids: ReadonlySet<string>] }>()

const place = useStorage('here-and-now-place', '')
/** As typed; empty for until the next meeting. */
const typed = ref('')
const minutes = computed(() => {
  const number = Number.parseInt(typed.value, 10)
  return number > 0 && number <= 600 ? number : undefined
})
const here = useHereAndNow(place, minutes)
watch(
  () => here.data.value,
  (now) => {
    if (now) {
      emit('fits', new Set(now.followUps))
    }
  },
  { immediate: true },
)
</script>

<template>
  <div class="flex flex-wrap items-center gap-2" data-test="here-and-now">
    <label class="flex items-center gap-2">
      I am
      <select v-model="place" class="field h-8 w-auto py-0 max-sm:h-11" data-test="here-place">
        <option value="">anywhere</option>
        <option v-for="each in here.data.value?.places ?? []" :key="each" :value="each">
          at {{ each }}
        </option>
      </select>
    </label>
    <label class="flex items-center gap-2">
      with
      <input
        v-model="typed"
        class="field h-8 w-16 max-sm:h-11"
        inputmode="numeric"
        maxlength="3"
        :placeholder="String(here.data.value?.minutes ?? '')"
        aria-label="Minutes that there are"
        data-test="here-minutes"
      />
      min
    </label>
    <p v-if="here.data.value" class="text-ink-soft" aria-live="polite">
      <template v-if="minutes === undefined">
        {{ effortText(here.data.value.minutes) || 'No time' }}
        {{ here.data.value.until ? `until “${here.data.value.until}”` : 'until the end of work' }}:
      </template>
      {{ here.data.value.followUps.length }}
      {{ here.data.value.followUps.length === 1 ? 'fits' : 'fit' }}
    </p>
    <p v-else-if="here.isError.value" class="text-rust" role="alert">
      {{ here.error.value?.message }}
    </p>
  </div>
</template>
