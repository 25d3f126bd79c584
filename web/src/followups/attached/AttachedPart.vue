<script setup lang="ts">
import { ExternalLink, Link2, Paperclip, Waypoints } from '@lucide/vue'
import { useEventListener } from '@vueuse/core'
import { computed, ref } from 'vue'
import type { AttachedView } from '@/api/client'
import { useAttached } from '@/api/followUpQueries'
import FileChip from '@/files/FileChip.vue'
import {
  addFile,
  addLink,
  keepFile,
  MOST_BYTES,
  removeFile,
  removeLink,
  unrelate,
} from '@/followups/attached/changes'
import RelatedPicker from '@/followups/attached/RelatedPicker.vue'
import { vFocus } from '@/ui/focus'
import RemoveButton from '@/ui/RemoveButton.vue'

/** What lies with a follow-up: files by choice, drop and paste, addresses, other follow-ups. */
const { id } = defineProps<{ id: string }>()

type Related = AttachedView['related'][number]
const attached = useAttached(() => id)
const data = computed(() => attached.data.value)
const known = computed(() => new Set((data.value?.related ?? []).map((each) => each.followUpId)))
const asks = ref<'link' | 'related'>()
const url = ref('')
const title = ref('')
const busy = ref(0)
const problem = ref('')
const over = ref(false)

const WAYS: Record<Related['way'], string> = {
  NEEDED_FIRST: 'needed first',
  HELD_BACK: 'waits for this one',
  TOGETHER: 'belongs with it',
}

async function add(files: Iterable<File> | null | undefined): Promise<void> {
  problem.value = ''
  for (const file of files ?? []) {
    if (file.size > MOST_BYTES) {
      problem.value = `${file.name} was not added: a file may have 25 MB.`
      continue
    }
    busy.value++
    try {
      await addFile(id, file)
    } finally {
      busy.value--
    }
  }
}

const carriesFiles = (event: DragEvent) => event.dataTransfer?.types.includes('Files') ?? false
// While a follow-up is open, files that are dropped are meant for it, and not for Intake.
useEventListener(
  document,
  'dragover',
  (event: DragEvent) => {
    if (carriesFiles(event)) {
      event.preventDefault()
      event.stopImmediatePropagation()
      over.value = true
    }
  },
  { capture: true },
)
useEventListener(document, 'dragleave', (event: DragEvent) => {
  if (event.relatedTarget === null) {
    over.value = false
  }
})
useEventListener(
  document,
  'drop',
  (event: DragEvent) => {
    if (carriesFiles(event)) {
      event.preventDefault()
      event.stopImmediatePropagation()
      over.value = false
      void add(event.dataTransfer?.files)
    }
  },
  { capture: true },
)
useEventListener(document, 'paste', (event: ClipboardEvent) => {
  const files = [...(event.clipboardData?.files ?? [])]
  if (files.length > 0) {
    event.preventDefault()
    void add(files)
  }
})

async function saveLink(): Promise<void> {
  if (url.value.trim() !== '' && (await addLink(id, url.value, title.value)) !== undefined) {
    url.value = ''
    title.value = ''
    asks.value = undefined
  }
}
</script>

<template>
  <div
    class="space-y-1.5"
    :class="over ? 'outline-kelp rounded outline-2 outline-offset-2 outline-dashed' : ''"
    data-test="attached"
  >
    <p v-if="attached.isError.value" class="text-rust" role="alert">
      What lies with it could not be loaded.
      <button class="btn h-7" type="button" @click="void attached.refetch()">Try again</button>
    </p>
    <div class="flex flex-wrap items-center gap-1.5">
      <label
        class="part cursor-pointer focus-within:outline-2 max-sm:h-11"
        title="Files of up to 25 MB each; or drop or paste them here"
      >
        <Paperclip :size="13" aria-hidden="true" /> add files
        <input
          type="file"
          multiple
          class="sr-only"
          data-test="attach-file"
          @change="
            (event) => {
              void add((event.target as HTMLInputElement).files)
              ;(event.target as HTMLInputElement).value = ''
            }
          "
        />
      </label>
      <button
        class="part max-sm:h-11"
        type="button"
        data-test="attach-link"
        @click="asks = asks === 'link' ? undefined : 'link'"
      >
        <Link2 :size="13" aria-hidden="true" /> add a link
      </button>
      <button
        class="part max-sm:h-11"
        type="button"
        data-test="attach-related"
        @click="asks = asks === 'related' ? undefined : 'related'"
      >
        <Waypoints :size="13" aria-hidden="true" /> another follow-up
      </button>
      <span v-if="busy" class="text-ink-soft" role="status">adding …</span>
      <span v-else-if="over" class="text-kelp">let go to add it here: up to 25 MB a file</span>
      <span v-if="problem" class="text-rust" role="alert">{{ problem }}</span>
    </div>
    <form
      v-if="asks === 'link'"
      class="flex flex-wrap items-center gap-2"
      data-keys="own"
      @submit.prevent="void saveLink()"
      @keydown.esc.stop="asks = undefined"
    >
      <input
        v-model="url"
        v-focus
        class="field h-8 w-64"
        maxlength="2000"
        placeholder="https://…"
        aria-label="Address"
        autocomplete="off"
        data-test="link-url"
      />
      <input
        v-model="title"
        class="field h-8 w-44"
        maxlength="300"
        placeholder="what it is"
        aria-label="Title"
        autocomplete="off"
        data-test="link-title"
      />
      <button class="btn btn-main h-8" type="submit">Add <span class="key">Enter</span></button>
    </form>
    <RelatedPicker v-if="asks === 'related'" :id="id" :known="known" @close="asks = undefined" />
    <ul v-if="data?.related.length" class="max-w-xl">
      <li v-for="each in data.related" :key="each.id" class="flex items-center gap-2">
        <RouterLink
          class="hover:text-kelp min-w-0 truncate underline"
          :class="each.state === 'OPEN' ? '' : 'text-ink-soft line-through'"
          :to="{ name: 'follow-ups', params: { id: each.followUpId } }"
          data-test="related"
          >{{ each.title }}</RouterLink
        >
        <span class="text-ink-soft shrink-0 text-sm">{{ WAYS[each.way] }}</span>
        <RemoveButton
          :label="`${each.title} has nothing to do with it`"
          @press="void unrelate(id, each.id)"
        />
      </li>
    </ul>
    <ul v-if="data?.links.length" class="flex flex-wrap gap-1.5" aria-label="Links">
      <li v-for="link in data.links" :key="link.id" class="flex items-center">
        <a
          class="part max-w-72 max-sm:h-11"
          :href="link.url"
          :title="link.url"
          target="_blank"
          rel="noopener noreferrer"
          data-test="web-link"
          ><ExternalLink :size="13" class="shrink-0" aria-hidden="true" /><bdi class="truncate">{{
            link.title
          }}</bdi></a
        >
        <RemoveButton :label="`Take ${link.title} away`" @press="void removeLink(id, link.id)" />
      </li>
    </ul>
    <ul
      v-if="data && data.files.length + data.messageFiles.length > 0"
      class="flex flex-wrap gap-1.5"
      aria-label="Files"
    >
      <li v-for="file in data.files" :key="file.id" class="flex max-w-full items-center">
        <FileChip :file="{ ...file, address: `/api/follow-ups/${id}/files/${file.id}` }" />
        <RemoveButton
          :label="`Take ${file.name} away`"
          data-test="remove-file"
          @press="void removeFile(id, file.id)"
        />
      </li>
      <li
        v-for="file in data.messageFiles"
        :key="`${file.messageId} ${file.index}`"
        class="flex max-w-full items-center gap-1"
      >
        <FileChip
          :file="{ ...file, address: `/api/messages/${file.messageId}/files/${file.index}` }"
        />
        <button
          class="text-ink-soft hover:text-kelp text-sm underline max-sm:h-11"
          type="button"
          title="It stays here, whatever becomes of its message"
          @click="void keepFile(id, file.messageId, file.index)"
        >
          keep it here
        </button>
      </li>
    </ul>
  </div>
</template>
