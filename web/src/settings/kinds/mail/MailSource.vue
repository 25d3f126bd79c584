<script setup lang="ts">
import type { SourceView } from '@/api/client'
import { useMailSettings } from '@/api/queries'
import MailSourceForm from '@/settings/kinds/mail/MailSourceForm.vue'
import Loading from '@/ui/Loading.vue'

/** The settings of a mail account, or of a new one. */
const { source } = defineProps<{ source?: SourceView }>()
const emit = defineEmits<{ done: [] }>()
const set = useMailSettings(source)
</script>

<template>
  <MailSourceForm v-if="!source" @done="emit('done')" />
  <MailSourceForm
    v-else-if="set.data.value"
    :source="source"
    :set="set.data.value"
    @done="emit('done')"
  />
  <p v-else-if="set.isError.value" class="text-rust">{{ set.error.value?.message }}</p>
  <Loading v-else />
</template>
