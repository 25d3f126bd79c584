<script setup lang="ts">
import description from '../../../docs/openapi.json?url'
import TokensSection from '@/settings/TokensSection.vue'
import WebhooksSection from '@/settings/WebhooksSection.vue'
</script>

<template>
  <h1 class="text-lg font-semibold">Scripts</h1>
  <p class="text-ink-soft max-w-2xl">
    Programs of your own act for you by a token, and are told of what happens by webhooks or a
    stream.
    <RouterLink class="text-kelp underline" to="/help/scripts">Examples to copy</RouterLink>
    show how to begin; every address is described in
    <a class="text-kelp underline" :href="description" download="openapi.json">openapi.json</a>
    (OpenAPI 3.1).
  </p>
  <TokensSection />
  <WebhooksSection />
</template>
