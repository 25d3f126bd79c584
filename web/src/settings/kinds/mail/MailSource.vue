<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { client, unwrap, type SourceView } from '@/api/client'
import MailSourceForm from '@/settings/kinds/mail/MailSourceForm.vue'
import Loading from '@/ui/Loading.vue'

/** The settings of a mail account, or of a new one. */
const { source } = defineProps<{ source?: SourceView }>()
const emit = defineEmits<{ done: [] }>()
const set = useQuery({
  queryKey: ['sources', 'mail', source?.id, source?.version],
  queryFn: () =>
    unwrap(client.GET('/api/sources/mail/{id}', { params: { path: { id: source?.id ?? '' } } })),
  enabled: source !== undefined,
})
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
