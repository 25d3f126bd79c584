<script setup lang="ts">
import { reactive, ref } from 'vue'
import { client, newId, unwrap, type ProbeStep, type SourceView } from '@/api/client'
import { run } from '@/api/commands'
import FormFoot from '@/settings/kinds/FormFoot.vue'
import FieldError from '@/ui/FieldError.vue'
import { useFieldErrors } from '@/ui/fieldErrors'

/** The settings of calendars on a server, or of new ones: an address to subscribe to, or an account. */
const { source } = defineProps<{ source?: SourceView }>()
const emit = defineEmits<{ done: [] }>()
const form = reactive({
  name: source?.name ?? '',
  address: 'https://',
  user: '',
  password: '',
})
const steps = ref<readonly ProbeStep[]>([])
const errors = useFieldErrors()

const test = () =>
  errors.attempt(async () => {
    steps.value = (await unwrap(client.POST('/api/sources/calendar/test', { body: form }))).steps
  })

async function save(): Promise<void> {
  const done = await errors.attempt(() =>
    run(
      (header) =>
        source
          ? client.PUT('/api/sources/calendar/{id}', {
              params: { path: { id: source.id }, query: { version: source.version }, header },
              body: { name: form.name, password: form.password },
            })
          : client.POST('/api/sources/calendar/{id}', {
              params: { path: { id: newId() }, header },
              body: form,
            }),
      'final',
      errors.take,
    ),
  )
  if (done) {
    emit('done')
  }
}
</script>

<template>
  <form class="space-y-3" data-test="calendar-form" @submit.prevent="void save()">
    <p v-if="!source" class="text-ink-soft">
      The address of one calendar (<i>https://…/office.ics</i> or <i>webcal://…</i>), or of a
      calendar server or account; then all calendars there are found by CalDAV.
    </p>
    <div class="grid gap-3 sm:grid-cols-2">
      <label
        >Name in Squallnote <input v-model.trim="form.name" class="field" name="name" required
      /></label>
      <label v-if="!source"
        >Address
        <input v-model.trim="form.address" class="field" name="address" required />
        <FieldError :of="errors.fields.value" name="address" />
      </label>
      <label v-if="!source"
        >User name, where one is asked for
        <input v-model.trim="form.user" class="field" name="user" autocomplete="off"
      /></label>
      <label
        >{{ source ? 'New password, where it has changed' : 'Password' }}
        <input
          v-model="form.password"
          class="field"
          name="password"
          type="password"
          autocomplete="new-password"
      /></label>
    </div>
    <FormFoot
      :steps="steps"
      :busy="errors.busy.value"
      :can-test="source ? null : true"
      :save="source ? 'Save' : 'Connect'"
      @test="void test()"
      @cancel="emit('done')"
    />
  </form>
</template>
