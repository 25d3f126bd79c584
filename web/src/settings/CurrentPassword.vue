<script setup lang="ts">
import { useTemplateRef } from 'vue'
import FieldError from '@/ui/FieldError.vue'

/** The password of whoever is signed in, as proof before something is changed; with what is wrong with it. */
const {
  label = 'Current password',
  name = 'current-password',
  errors,
} = defineProps<{
  label?: string
  name?: string
  errors: Readonly<Record<string, string>>
}>()
const password = defineModel<string>({ required: true })
const field = useTemplateRef<HTMLInputElement>('field')

defineExpose({ focus: () => field.value?.focus() })
</script>

<template>
  <label class="block"
    >{{ label }}
    <input
      ref="field"
      v-model="password"
      class="field"
      :name="name"
      type="password"
      autocomplete="current-password"
      required
    />
    <FieldError :of="errors" name="currentPassword" />
  </label>
</template>
