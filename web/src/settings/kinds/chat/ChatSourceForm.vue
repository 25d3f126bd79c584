<script setup lang="ts">
import { reactive, ref } from 'vue'
import { client, newId, unwrap, type ChatView, type SourceView, type ProbeStep } from '@/api/client'
import { run } from '@/api/commands'
import CommonFields from '@/settings/kinds/CommonFields.vue'
import FormFoot from '@/settings/kinds/FormFoot.vue'
import FieldError from '@/ui/FieldError.vue'
import { useFieldErrors } from '@/ui/fieldErrors'

const { source, set } = defineProps<{ source?: SourceView; set?: ChatView }>()
const emit = defineEmits<{ done: [] }>()
const form = reactive({
  name: source?.name ?? '',
  homeserver: set?.homeserver ?? 'https://',
  user: '',
  password: '',
  accessToken: '',
  daysBack: source?.daysBack ?? 90,
  archiveRule: source?.archiveRule ?? ('NEVER' as const),
})
const steps = ref<readonly ProbeStep[]>([])
const errors = useFieldErrors()
const byToken = ref(false)
const READ_MARKER_RULES = [
  { value: 'NEVER', name: 'leave it where it is' },
  { value: 'AT_ONCE', name: 'move it on once I have decided' },
  { value: 'WHEN_ENDED', name: 'move it on when nothing is left to do' },
] as const

const test = () =>
  errors.attempt(async () => {
    steps.value = (await unwrap(client.POST('/api/sources/chat/test', { body: form }))).steps
  })

async function save(): Promise<void> {
  const done = await errors.attempt(() =>
    run(
      (header) =>
        source
          ? client.PUT('/api/sources/chat/{id}', {
              params: { path: { id: source.id }, query: { version: source.version }, header },
              body: { name: form.name, daysBack: form.daysBack, archiveRule: form.archiveRule },
            })
          : client.POST('/api/sources/chat/{id}', {
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
  <form class="space-y-3" data-test="chat-form" @submit.prevent="void save()">
    <div class="grid gap-3 sm:grid-cols-2">
      <label
        >Name in Squallnote <input v-model.trim="form.name" class="field" name="name" required
      /></label>
      <label
        >Address of the homeserver
        <input
          v-model.trim="form.homeserver"
          class="field"
          name="homeserver"
          required
          :readonly="source !== undefined"
        />
        <FieldError :of="errors.fields.value" name="homeserver" />
      </label>
      <template v-if="!source && !byToken">
        <label
          >User name
          <input v-model.trim="form.user" class="field" name="user" autocomplete="off" required
        /></label>
        <label
          >Password
          <input
            v-model="form.password"
            class="field"
            name="password"
            type="password"
            autocomplete="new-password"
            required
        /></label>
      </template>
      <label v-else-if="!source" class="sm:col-span-2"
        >Access token
        <input
          v-model.trim="form.accessToken"
          class="field"
          name="accessToken"
          type="password"
          autocomplete="off"
          required
      /></label>
      <CommonFields
        v-model:archive-rule="form.archiveRule"
        v-model:days-back="form.daysBack"
        on-decided="My marker of what is read"
        :rules="READ_MARKER_RULES"
      />
      <label v-if="!source" class="flex items-center gap-1.5 self-end"
        ><input v-model="byToken" type="checkbox" /> with an access token</label
      >
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
