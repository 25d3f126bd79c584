<script setup lang="ts">
import { Paperclip, X } from '@lucide/vue'
import { ref, watch } from 'vue'
import { client, newId, unwrap, type MessageView } from '@/api/client'
import { fileSize } from '@/files/size'

/** The files that an answer will carry; they are kept with the draft as soon as they are chosen. */
const { message } = defineProps<{ message: MessageView }>()
const emit = defineEmits<{ count: [files: number] }>()
const MOST_BYTES = 10_000_000
const files = ref([...message.draftFiles])
const problem = ref('')
const busy = ref(0)
watch(files, (now) => {
  emit('count', now.length)
})

async function add(chosen: FileList | null): Promise<void> {
  for (const file of chosen ?? []) {
    const together = files.value.reduce((sum, each) => sum + each.size, file.size)
    if (together > MOST_BYTES) {
      problem.value = `${file.name} was not added: an answer can carry 10 MB of files.`
      continue
    }
    const id = newId()
    busy.value++
    try {
      await unwrap(
        client.PUT('/api/messages/{id}/draft/files/{fileId}', {
          params: {
            path: { id: message.id, fileId: id },
            query: { name: file.name, type: file.type || 'application/octet-stream' },
          },
          body: file as unknown as string,
          bodySerializer: (body) => body as unknown as Blob,
          headers: { 'Content-Type': 'application/octet-stream' },
        }),
      )
      files.value = [...files.value, { id, name: file.name, size: file.size }]
      problem.value = ''
    } catch (error) {
      problem.value = `${file.name} was not added. ${error instanceof Error ? error.message : ''}`
    } finally {
      busy.value--
    }
  }
}

async function remove(id: string): Promise<void> {
  try {
    await unwrap(
      client.DELETE('/api/messages/{id}/draft/files/{fileId}', {
        params: { path: { id: message.id, fileId: id } },
      }),
    )
    files.value = files.value.filter((file) => file.id !== id)
  } catch (error) {
    problem.value = error instanceof Error ? error.message : String(error)
  }
}
</script>

<template>
  <div class="flex flex-wrap items-center gap-2">
    <label class="btn h-7 cursor-pointer px-2 focus-within:outline-2">
      <Paperclip :size="14" aria-hidden="true" /> Files
      <input
        type="file"
        multiple
        class="sr-only"
        data-test="add-file"
        @change="
          (event) => {
            void add((event.target as HTMLInputElement).files)
          }
        "
      />
    </label>
    <span v-for="file in files" :key="file.id" class="part max-w-64" data-test="draft-file">
      <span class="truncate">{{ file.name }}</span>
      <span class="text-ink-soft shrink-0">{{ fileSize(file.size) }}</span>
      <button type="button" :aria-label="`Remove ${file.name}`" @click="void remove(file.id)">
        <X :size="14" aria-hidden="true" />
      </button>
    </span>
    <span v-if="busy" class="text-ink-soft">adding …</span>
    <span v-if="problem" class="text-rust" role="alert">{{ problem }}</span>
  </div>
</template>
