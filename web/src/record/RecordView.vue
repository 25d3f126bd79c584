<script setup lang="ts">
import { computed, defineAsyncComponent, type Component } from 'vue'
import { useRoute } from 'vue-router'
import RecordLog from '@/record/RecordLog.vue'

/** What has ended, and what can be said of it: each of its parts has an address of its own. */
const PARTS: Readonly<Record<string, Component>> = {
  proof: defineAsyncComponent(() => import('@/record/proof/ProofPage.vue')),
  time: defineAsyncComponent(() => import('@/record/time/TimePage.vue')),
  figures: defineAsyncComponent(() => import('@/record/figures/FiguresPage.vue')),
}

const route = useRoute()
const part = computed(() => PARTS[String(route.params.part)] ?? RecordLog)
</script>

<template>
  <component :is="part" />
</template>
