<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { client } from '@/api/client'
import { run } from '@/api/commands'
import { usePreferences, useSources } from '@/api/queries'

const preferences = usePreferences()
const sources = useSources()
const address = ref('')
watch(
  () => preferences.data.value?.captureAddress,
  (now) => {
    address.value = now ?? ''
  },
  { immediate: true },
)
const proposed = computed(() => {
  const mailbox = sources.data.value?.find((source) => source.kind === 'MAIL')
  return mailbox ? mailbox.address.replace('@', '+todo@') : 'me+todo@harbour.example'
})
const bookmarklet = computed(
  () =>
    `javascript:void(window.open(${JSON.stringify(`${location.origin}/capture`)}+'?title='+encodeURIComponent(document.title)+'&url='+encodeURIComponent(location.href)+'&text='+encodeURIComponent(String(getSelection()).slice(0,2000))))`,
)

async function save(): Promise<void> {
  if (!preferences.data.value) {
    return
  }
  const body = { ...preferences.data.value, captureAddress: address.value.trim() }
  await run((header) => client.PUT('/api/preferences', { params: { header }, body }))
}
</script>

<template>
  <h1 class="text-lg font-semibold">Capture</h1>
  <p class="text-ink-soft mb-4">
    Follow-ups that come from no message: the capture line is open from anywhere with
    <span class="key">+</span>.
  </p>
  <h2 class="font-semibold">By mail</h2>
  <p class="text-ink-soft mb-2">
    What you yourself send or forward to this address becomes a follow-up, its subject read like a
    captured line. It has to reach one of your mailboxes, or stand in your sent mail;
    {{ proposed }} usually does.
  </p>
  <form class="mb-5 flex flex-wrap gap-2" @submit.prevent="void save()">
    <input
      v-model="address"
      class="field w-80 max-w-full"
      type="email"
      maxlength="320"
      :placeholder="proposed"
      aria-label="Capture address"
      data-test="capture-address"
    />
    <button class="btn btn-main" type="submit">Save</button>
  </form>
  <h2 class="font-semibold">From a web page</h2>
  <p class="text-ink-soft mb-2">
    Drag this link into the bookmarks of your browser. On any page it opens the capture line with
    the page's title, its address and what is selected.
  </p>
  <p class="mb-5">
    <a class="btn w-max" :href="bookmarklet" data-test="bookmarklet" @click.prevent
      >Capture this page</a
    >
  </p>
  <h2 class="font-semibold">From a phone</h2>
  <p class="text-ink-soft">
    Installed from the browser's menu, Squallnote stands in the system's share sheet and takes the
    title and the address of a page in the same way.
  </p>
</template>
