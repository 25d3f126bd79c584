<script setup lang="ts">
import TokensSection from '@/settings/TokensSection.vue'
import WebhooksSection from '@/settings/WebhooksSection.vue'
</script>

<template>
  <h1 class="text-lg font-semibold">Scripts</h1>
  <p class="text-ink-soft max-w-2xl">
    Programs of your own act for you by a token, and are told of what happens by webhooks or a
    stream. How, with examples to copy, is written in <code>docs/scripts.md</code>; every address is
    described in <code>docs/openapi.json</code>.
  </p>
  <TokensSection />
  <WebhooksSection />
</template>
