<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { reactive, watch } from 'vue'
import { client, unwrap } from '@/api/client'
import { queryClient } from '@/api/queries'
import { showDone } from '@/api/toasts'
import FieldError from '@/ui/FieldError.vue'
import { useFieldErrors } from '@/ui/fieldErrors'

/** What holds for everybody here; only administrators see it. */
const installation = useQuery({
  queryKey: ['installation'],
  queryFn: () => unwrap(client.GET('/api/installation')),
})
const form = reactive({ hosts: '', localNetworkForAll: false })
watch(
  () => installation.data.value,
  (now) => {
    if (now) {
      Object.assign(form, {
        hosts: now.hosts.join(' '),
        localNetworkForAll: now.localNetworkForAll,
      })
    }
  },
  { immediate: true },
)
const errors = useFieldErrors()

const save = () =>
  errors.attempt(async () => {
    const saved = await unwrap(
      client.PUT('/api/installation', {
        body: {
          hosts: form.hosts.split(/[\s,]+/).filter(Boolean),
          localNetworkForAll: form.localNetworkForAll,
        },
      }),
    )
    queryClient.setQueryData(['installation'], saved)
    showDone('Installation saved')
  })
</script>

<template>
  <section class="mt-6 max-w-xl" data-test="installation">
    <h2 class="font-semibold">This installation</h2>
    <form class="mt-1 space-y-3" @submit.prevent="void save()">
      <label class="block"
        >Names it answers by, beside localhost
        <input
          v-model="form.hosts"
          class="field"
          name="hosts"
          placeholder="squallnote.merrowquay.example"
          autocomplete="off"
        />
        <FieldError :of="errors.fields.value" name="hosts" />
        <span class="text-ink-soft text-sm"
          >Set at the first visit by another name. While it is empty, any name is answered.</span
        >
      </label>
      <label class="flex items-start gap-2">
        <input v-model="form.localNetworkForAll" type="checkbox" class="mt-1" />
        <span
          >Every account may connect to servers inside the local network; else only
          administrators</span
        >
      </label>
      <p><button class="btn" type="submit" :disabled="errors.busy.value">Save</button></p>
    </form>
  </section>
</template>
