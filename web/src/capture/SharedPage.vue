<script setup lang="ts">
import { onMounted } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { openCapture } from '@/capture/open'

/** Where the bookmarklet and the system's share sheet lead: the capture line with the page's title and address. */
const route = useRoute()
const router = useRouter()

function one(name: string): string {
  const value = route.query[name]
  return typeof value === 'string' ? value : ''
}

onMounted(() => {
  const shared = { title: one('title'), url: one('url'), text: one('text') }
  const link = /^https?:\/\//.test(shared.url)
  openCapture({ ...shared, url: link ? shared.url : '' })
  void router.replace('/follow-ups')
})
</script>

<template><div /></template>
