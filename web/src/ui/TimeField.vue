<script setup lang="ts">
import { ref, watch } from 'vue'
import { readTime } from '@/ui/clockTime'

/** A time of day, typed as people do and shown as 24 hours, whatever country the browser is from. */
const { label, optional } = defineProps<{ label: string; optional?: boolean; disabled?: boolean }>()
const time = defineModel<string>({ required: true })
const text = ref(time.value.slice(0, 5))
const wrong = ref(false)
watch(time, (value) => {
  text.value = value.slice(0, 5)
  wrong.value = false
})

function take(): void {
  const read = text.value.trim() === '' && optional ? '' : readTime(text.value)
  wrong.value = read === undefined
  if (read !== undefined) {
    time.value = read
    text.value = read
  }
}
</script>

<template>
  <span class="inline-flex flex-col">
    <input
      v-model="text"
      class="field w-20"
      :aria-label="label"
      :aria-invalid="wrong"
      :disabled="disabled"
      placeholder="09:30"
      maxlength="10"
      autocomplete="off"
      @change="take"
    />
    <span v-if="wrong" class="text-rust text-sm" role="alert">A time such as 9:30 or 2 pm</span>
  </span>
</template>
