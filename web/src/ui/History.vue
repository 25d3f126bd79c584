<script setup lang="ts">
import { useHistory } from '@/api/queries'
import { moment } from '@/ui/time'

/** What was changed about something, when and by whom; what was undone is struck through. */
const { subjectId } = defineProps<{ subjectId: string }>()
const history = useHistory(() => subjectId)
</script>

<template>
  <details v-if="history.data.value?.length" class="border-line border-t px-4 py-3">
    <summary class="hover:text-kelp w-max cursor-pointer">History</summary>
    <ul class="text-ink-soft mt-2 space-y-1">
      <li
        v-for="entry in history.data.value"
        :key="entry.commandId"
        :class="entry.undone ? 'line-through' : ''"
      >
        {{ moment(entry.at) }} · {{ entry.actor }} · {{ entry.label }}
      </li>
    </ul>
  </details>
</template>
