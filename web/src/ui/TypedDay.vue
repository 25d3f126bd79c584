<script setup lang="ts">
import { watchDebounced } from '@vueuse/core'
import { onMounted, ref, useTemplateRef } from 'vue'
import { client, unwrap, type DayView } from '@/api/client'
import { dayNotice } from '@/ui/dayNotice'
import { replyBy } from '@/ui/time'

/** A field for a date in words, read while it is typed; Enter takes it. */
const { focus, label = 'A date in words' } = defineProps<{ focus?: boolean; label?: string }>()
const emit = defineEmits<{ choose: [day: string, time: string | null] }>()
const text = ref('')
const found = ref<DayView>()
const input = useTemplateRef<HTMLInputElement>('input')

onMounted(() => {
  // On a touch screen the keyboard would cover what can be chosen.
  if (focus && !matchMedia('(pointer: coarse)').matches) {
    input.value?.focus()
  }
})

async function read(typed: string): Promise<DayView | undefined> {
  if (typed.trim() === '') {
    return undefined
  }
  try {
    return await unwrap(client.GET('/api/day', { params: { query: { text: typed } } }))
  } catch {
    return undefined
  }
}

watchDebounced(
  text,
  async (typed) => {
    const view = await read(typed)
    if (typed === text.value) {
      found.value = view
    }
  },
  { debounce: 80 },
)

async function take(): Promise<void> {
  const view = await read(text.value)
  found.value = view
  if (view?.day) {
    emit('choose', view.day, view.time?.slice(0, 5) ?? null)
    text.value = ''
  }
}
</script>

<template>
  <div>
    <input
      ref="input"
      v-model="text"
      class="field"
      maxlength="80"
      placeholder="fri, in 3 days, end of month noon"
      :aria-label="label"
      autocomplete="off"
      data-test="typed-day"
      @keydown.enter.prevent.stop="() => void take()"
    />
    <p class="min-h-5 pt-0.5 text-sm" aria-live="polite" data-test="typed-day-read">
      <template v-if="found?.day">
        <b>{{ replyBy(found.day, found.time ?? null) }}</b>
        <span class="text-brass-ink"> {{ dayNotice(found) }}</span>
        <span class="key ml-1">Enter</span>
      </template>
      <span v-else-if="found && text.trim() !== ''" class="text-ink-soft"
        >No date is seen in this yet.</span
      >
    </p>
  </div>
</template>
