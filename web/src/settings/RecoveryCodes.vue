<script setup lang="ts">
defineProps<{ codes: readonly string[] }>()
const emit = defineEmits<{ kept: [] }>()
</script>

<template>
  <div class="bg-brass-wash mt-2 rounded p-3" data-test="recovery-codes">
    <p>
      Keep these where you find them without your device. Each signs you in once, beside your
      password. They are shown only now, and those before are of no use any more.
    </p>
    <ul class="my-2 grid grid-cols-2 gap-x-4 font-mono">
      <li v-for="each in codes" :key="each">{{ each }}</li>
    </ul>
    <button class="btn" type="button" @click="emit('kept')">I have kept them</button>
  </div>
</template>
