<script setup lang="ts">
import { Paperclip } from '@lucide/vue'
import { computed } from 'vue'
import { saveFile } from '@/files/saveFile'
import { fileSize } from '@/files/size'
import { useViewedFile, wayToShow, type ViewedFile } from '@/files/viewing'

/** A file by its name: shown in place where that is safe, else saved. */
const { file } = defineProps<{ file: ViewedFile }>()
const shown = computed(() => wayToShow(file) !== undefined)

function open(): void {
  if (shown.value) {
    useViewedFile().file = file
  } else {
    void saveFile(file.address, file.name)
  }
}
</script>

<template>
  <button
    class="part max-w-full max-sm:h-11"
    type="button"
    :title="shown ? `Show ${file.name}` : `Save ${file.name}`"
    data-test="file"
    @click="open"
  >
    <Paperclip :size="15" class="shrink-0" aria-hidden="true" /><bdi class="truncate">{{
      file.name
    }}</bdi>
    <span class="text-ink-soft shrink-0">{{ fileSize(file.size) }}</span>
  </button>
</template>
