<script setup lang="ts">
import { ref } from 'vue'
import { client, type MessageView } from '@/api/client'
import { run } from '@/api/commands'
import { useWriters } from '@/api/queries'
import FieldError from '@/ui/FieldError.vue'
import { useFieldErrors } from '@/ui/fieldErrors'

/** A mail of mine did not arrive: another address for it. */
const { message } = defineProps<{ message: MessageView }>()
const address = ref('')
const writers = useWriters()
const errors = useFieldErrors()

const send = () =>
  errors.attempt(() =>
    run(
      (header) =>
        client.POST('/api/messages/{id}/send-again', {
          params: { path: { id: message.id }, header },
          body: { address: address.value },
        }),
      'undoable',
      errors.take,
    ),
  )
</script>

<template>
  <form
    class="bg-dusk-wash mt-2 flex flex-wrap items-center gap-2 rounded px-3 py-1.5"
    data-test="send-again"
    @submit.prevent="void send()"
  >
    <label class="flex min-w-0 flex-wrap items-center gap-2"
      >Your mail did not arrive. Send it, as it was, to
      <input
        v-model.trim="address"
        class="field w-full sm:w-64"
        type="email"
        name="address"
        required
        maxlength="320"
        placeholder="another address"
        list="known-addresses"
        autocomplete="off"
      />
    </label>
    <datalist id="known-addresses">
      <option v-for="each in writers.data.value" :key="each.address" :value="each.address">
        {{ each.name }}
      </option>
    </datalist>
    <button class="btn h-7" type="submit" :disabled="address === '' || errors.busy.value">
      Send it again
    </button>
    <FieldError :of="errors.fields.value" name="address" />
  </form>
</template>
