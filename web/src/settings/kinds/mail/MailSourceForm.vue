<script setup lang="ts">
import { computed, reactive, ref, watch } from 'vue'
import {
  client,
  newId,
  unwrap,
  type MailTestResult,
  type MailView,
  type SourceView,
} from '@/api/client'
import { run } from '@/api/commands'
import CommonFields from '@/settings/kinds/CommonFields.vue'
import { emptyMailForm, mailFormOf, portFor } from '@/settings/kinds/mail/mailForm'
import FormFoot from '@/settings/kinds/FormFoot.vue'
import FieldError from '@/ui/FieldError.vue'
import { useFieldErrors } from '@/ui/fieldErrors'

const { source, set } = defineProps<{ source?: SourceView; set?: MailView }>()
const emit = defineEmits<{ done: [] }>()
const form = reactive(source && set ? mailFormOf(source, set) : emptyMailForm())
const result = ref<MailTestResult | undefined>()
const errors = useFieldErrors()
/** The server's own folder for drafts comes first. */
const draftFolders = computed(() => {
  const { names = [], drafts } = result.value?.folders ?? {}
  return drafts ? [drafts, ...names.filter((name) => name !== drafts)] : names
})
const ENCRYPTIONS = [
  { value: 'TLS', name: 'TLS' },
  { value: 'STARTTLS', name: 'STARTTLS' },
  { value: 'NONE', name: 'none (this machine only)' },
] as const
const ARCHIVE_RULES = [
  { value: 'NEVER', name: 'never' },
  { value: 'AT_ONCE', name: 'as soon as it is decided' },
  { value: 'WHEN_ENDED', name: 'when its follow-up ends' },
] as const

watch(
  () => form.imap.encryption,
  (now) => (form.imap.port = portFor('imap', form.imap.port, now)),
)
watch(
  () => form.smtp.encryption,
  (now) => (form.smtp.port = portFor('smtp', form.smtp.port, now)),
)
watch(
  () => form.address,
  (now, before) => {
    if (form.user === before) {
      form.user = now
    }
    if (form.name === before) {
      form.name = now
    }
  },
)
watch(
  () => form.imap.host,
  (now, before) => {
    if (form.smtp.host === before) {
      form.smtp.host = now
    }
  },
)

async function test(): Promise<boolean> {
  result.value = undefined
  result.value = await errors.attempt(() =>
    unwrap(
      client.POST('/api/sources/mail/test', {
        params: { query: source ? { sourceId: source.id } : {} },
        body: form,
      }),
    ),
  )
  form.sent ??= result.value?.folders?.sent ?? null
  form.archive ??= result.value?.folders?.archive ?? null
  return result.value?.passed ?? false
}

function acceptCertificate(sha256: string): void {
  form.pinnedCertificate = sha256
  void test()
}

/** A new account is tested before it is connected; one that fails the test is connected only when asked again. */
async function save(): Promise<void> {
  if (!source && !result.value) {
    const passed = await test()
    if (!passed) {
      return
    }
  }
  const done = await errors.attempt(() =>
    run(
      (header) =>
        source
          ? client.PUT('/api/sources/mail/{id}', {
              params: { path: { id: source.id }, query: { version: source.version }, header },
              body: form,
            })
          : client.POST('/api/sources/mail/{id}', {
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
  <form class="space-y-3" data-test="mail-form" @submit.prevent="void save()">
    <div class="grid gap-3 sm:grid-cols-2">
      <label
        >Address
        <input
          v-model.trim="form.address"
          class="field"
          name="address"
          type="email"
          required
          :readonly="source !== undefined"
      /></label>
      <label
        >Name in Squallnote <input v-model.trim="form.name" class="field" name="name" required
      /></label>
      <label
        >Name on answers <input v-model.trim="form.fromName" class="field" name="fromName"
      /></label>
      <label
        >User name
        <input v-model.trim="form.user" class="field" name="user" autocomplete="off" required
      /></label>
      <label class="sm:col-span-2"
        >Password
        <input
          v-model="form.password"
          class="field"
          name="password"
          type="password"
          autocomplete="new-password"
          :required="!source"
          :placeholder="source ? 'unchanged' : ''"
        />
        <FieldError :of="errors.fields.value" name="password" />
      </label>
    </div>
    <div class="grid gap-3 sm:grid-cols-2">
      <fieldset
        v-for="kind in ['imap', 'smtp'] as const"
        :key="kind"
        class="border-line rounded border p-2"
      >
        <legend class="px-1 font-semibold">
          {{ kind === 'imap' ? 'Receiving (IMAP)' : 'Sending (SMTP)' }}
        </legend>
        <label class="block"
          >Host
          <input v-model.trim="form[kind].host" class="field" :name="`${kind}-host`" required />
          <FieldError :of="errors.fields.value" :name="`${kind}.host`" />
        </label>
        <div class="mt-2 grid grid-cols-[90px_1fr] gap-2">
          <label
            >Port
            <input
              v-model.number="form[kind].port"
              class="field"
              :name="`${kind}-port`"
              type="number"
              min="1"
              max="65535"
              required
          /></label>
          <label
            >Encryption
            <select v-model="form[kind].encryption" class="field" :name="`${kind}-encryption`">
              <option v-for="each in ENCRYPTIONS" :key="each.value" :value="each.value">
                {{ each.name }}
              </option>
            </select>
          </label>
        </div>
      </fieldset>
    </div>
    <div class="grid gap-3 sm:grid-cols-2">
      <label
        >Folder for sent mail
        <select v-if="result?.folders" v-model="form.sent" class="field">
          <option :value="null">none</option>
          <option v-for="name in result.folders.names" :key="name" :value="name">{{ name }}</option>
        </select>
        <input
          v-else
          v-model.trim="form.sent"
          class="field"
          name="sent"
          placeholder="found by the test"
        />
      </label>
      <label
        >Folder for the archive
        <select v-if="result?.folders" v-model="form.archive" class="field">
          <option :value="null">none</option>
          <option v-for="name in result.folders.names" :key="name" :value="name">{{ name }}</option>
        </select>
        <input
          v-else
          v-model.trim="form.archive"
          class="field"
          name="archive"
          placeholder="found by the test"
        />
      </label>
      <label
        >Keep drafts on the server too, in
        <select v-if="result?.folders" v-model="form.drafts" class="field" name="drafts">
          <option :value="null">none</option>
          <option v-for="name in draftFolders" :key="name" :value="name">{{ name }}</option>
        </select>
        <input
          v-else
          v-model.trim="form.drafts"
          class="field"
          name="drafts"
          placeholder="only in Squallnote"
        />
      </label>
      <CommonFields
        v-model:archive-rule="form.archiveRule"
        v-model:days-back="form.daysBack"
        on-decided="Archive a message"
        :rules="ARCHIVE_RULES"
      />
    </div>
    <FormFoot
      :steps="result?.steps ?? []"
      :busy="errors.busy.value"
      :can-test="form.imap.host !== '' && form.smtp.host !== ''"
      :save="source ? 'Save' : result && !result.passed ? 'Connect anyway' : 'Connect'"
      @test="void test()"
      @cancel="emit('done')"
    >
      <div v-if="result?.untrusted" class="bg-brass-wash rounded p-2">
        <p>
          The server shows a certificate for <b>{{ result.untrusted.subject }}</b>, issued by
          {{ result.untrusted.issuer }}. Compare its fingerprint with the one that whoever runs the
          server gives you:
        </p>
        <p class="my-1 font-mono text-xs wrap-anywhere">{{ result.untrusted.sha256 }}</p>
        <button class="btn" type="button" @click="acceptCertificate(result.untrusted.sha256)">
          Accept this certificate
        </button>
      </div>
    </FormFoot>
  </form>
</template>
