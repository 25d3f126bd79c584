<script setup lang="ts">
/** What is wrong with a field, right below it. */
const { of, name } = defineProps<{ of: Readonly<Record<string, string>>; name: string }>()
</script>

<template>
  <span v-if="of[name]" class="text-rust block" role="alert" :data-error="name">{{
    of[name]
  }}</span>
</template>
