<script setup lang="ts">
import { FileText } from '@lucide/vue'
import { ref, shallowRef, useTemplateRef } from 'vue'
import { client, type SourceView } from '@/api/client'
import { run } from '@/api/commands'
import { importFile } from '@/api/files'
import { useSources } from '@/api/queries'
import CalendarsSection from '@/settings/CalendarsSection.vue'
import FeedSection from '@/settings/FeedSection.vue'
import { KINDS, type SourceKind } from '@/settings/kinds/kinds'
import Loading from '@/ui/Loading.vue'
import Note from '@/ui/Note.vue'

const sources = useSources()
const adding = shallowRef<SourceKind | undefined>()
const editing = ref<string | undefined>()
const leaving = ref<string | undefined>()
const files = useTemplateRef<HTMLInputElement>('files')

const STATUS_CLASS: Record<SourceView['status'], string> = {
  CONNECTING: 'text-ink-soft',
  READING: 'text-ink-soft',
  LIVE: 'text-kelp',
  TROUBLE: 'text-rust',
  IDLE: 'text-ink-soft',
}
const STATUS_WORD: Record<SourceView['status'], string> = {
  CONNECTING: 'connecting',
  READING: 'reading',
  LIVE: 'live',
  TROUBLE: 'trouble',
  IDLE: 'files',
}

function kindOf(source: SourceView): SourceKind | undefined {
  return KINDS.find((each) => each.kind === source.kind)
}

function disconnect(source: SourceView): void {
  leaving.value = undefined
  void run(
    (header) =>
      client.DELETE('/api/sources/{id}', {
        params: { path: { id: source.id }, query: { version: source.version }, header },
      }),
    'final',
  )
}

function takeFiles(event: Event): void {
  const input = event.target as HTMLInputElement
  for (const file of input.files ?? []) {
    void importFile(file)
  }
  input.value = ''
}
</script>

<template>
  <h1 class="text-lg font-semibold">Sources</h1>
  <p class="text-ink-soft mb-3">
    Where messages and meetings come from. Passwords are stored encrypted and never shown again.
  </p>
  <Loading v-if="sources.isPending.value" />
  <Note v-else-if="sources.isError.value" title="Sources could not be loaded" problem>
    <p>{{ sources.error.value?.message }}</p>
  </Note>
  <ul v-else class="space-y-2">
    <li
      v-for="source in sources.data.value"
      :key="source.id"
      class="bg-surface border-line rounded border"
      data-test="source"
    >
      <div class="flex flex-wrap items-center gap-x-3 gap-y-1 px-3 py-2">
        <component :is="kindOf(source)?.icon ?? FileText" :size="17" aria-hidden="true" />
        <b>{{ source.name }}</b>
        <span class="text-ink-soft min-w-0 truncate">{{ source.address }}</span>
        <span :class="STATUS_CLASS[source.status]" :data-status="source.status">{{
          STATUS_WORD[source.status]
        }}</span>
        <span v-if="source.kind !== 'CALENDARS'" class="text-ink-soft"
          >{{ source.messageCount }} messages</span
        >
        <span v-if="source.status !== 'IDLE'" class="ml-auto flex gap-2">
          <button
            class="btn h-7"
            type="button"
            :aria-expanded="editing === source.id"
            @click="editing = editing === source.id ? undefined : source.id"
          >
            Settings
          </button>
          <button class="btn h-7" type="button" @click="leaving = source.id">Disconnect</button>
        </span>
      </div>
      <p
        v-if="source.status === 'READING' || source.status === 'TROUBLE'"
        class="text-ink-soft px-3 pb-2"
      >
        {{ source.statusText }}
        <progress
          v-if="source.progressTotal"
          class="h-2 w-40"
          :value="source.progressDone"
          :max="source.progressTotal"
        />
      </p>
      <div
        v-if="leaving === source.id"
        class="border-line flex flex-wrap items-center gap-2 border-t px-3 py-2"
        role="alert"
      >
        Disconnect {{ source.name }}?
        {{
          source.kind === 'CALENDARS'
            ? 'Its meetings take no time any more'
            : 'Its messages and follow-ups stay'
        }}; its password is deleted.
        <button class="btn" type="button" @click="disconnect(source)">Disconnect</button>
        <button class="btn btn-quiet" type="button" @click="leaving = undefined">Keep it</button>
      </div>
      <div v-if="editing === source.id" class="border-line border-t p-3">
        <component :is="kindOf(source)?.settings" :source="source" @done="editing = undefined" />
      </div>
    </li>
  </ul>
  <p v-if="sources.data.value?.length === 0" class="text-ink-soft">
    Nothing is connected yet. Add a mail account to see its messages in Intake.
  </p>

  <div v-if="adding" class="bg-surface border-line mt-3 rounded border p-3">
    <h2 class="mb-2 font-semibold">Add {{ adding.name }}</h2>
    <component :is="adding.settings" @done="adding = undefined" />
  </div>
  <div v-else class="mt-3 flex flex-wrap gap-2">
    <button
      v-for="(kind, place) in KINDS"
      :key="kind.kind"
      class="btn"
      :class="place === 0 ? 'btn-main' : ''"
      type="button"
      :data-test="`add-${kind.kind.toLowerCase()}`"
      @click="adding = kind"
    >
      Add {{ kind.name }}
    </button>
    <button class="btn" type="button" @click="files?.click()">
      Import .eml, mbox or .ics files
    </button>
    <input
      ref="files"
      class="hidden"
      type="file"
      multiple
      accept=".eml,.mbox,.ics,message/rfc822,application/mbox,text/calendar"
      aria-label="Files to import"
      @change="takeFiles"
    />
  </div>
  <p class="text-ink-soft mt-2">Files can also be dropped anywhere on the page.</p>
  <CalendarsSection />
  <FeedSection />
</template>
