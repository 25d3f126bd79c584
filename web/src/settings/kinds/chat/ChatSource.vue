<script setup lang="ts">
import type { SourceView } from '@/api/client'
import { useChatSettings } from '@/api/queries'
import ChatRooms from '@/settings/kinds/chat/ChatRooms.vue'
import ChatSourceForm from '@/settings/kinds/chat/ChatSourceForm.vue'
import Loading from '@/ui/Loading.vue'

/** The settings of a chat account with its rooms, or of a new one. */
const { source } = defineProps<{ source?: SourceView }>()
const emit = defineEmits<{ done: [] }>()
const set = useChatSettings(source)
</script>

<template>
  <ChatSourceForm v-if="!source" @done="emit('done')" />
  <template v-else-if="set.data.value">
    <ChatSourceForm :source="source" :set="set.data.value" @done="emit('done')" />
    <ChatRooms :source="source" />
  </template>
  <p v-else-if="set.isError.value" class="text-rust">{{ set.error.value?.message }}</p>
  <Loading v-else />
</template>
