<script setup lang="ts">
import { ref } from 'vue'
import { client, newId, type PhraseView } from '@/api/client'
import { run } from '@/api/commands'
import { usePhrases } from '@/api/queries'
import Loading from '@/ui/Loading.vue'
import Note from '@/ui/Note.vue'

const phrases = usePhrases()
const edited = ref<PhraseView>()
const FIELDS = ['{name}', '{date}', '{ask}', '{subject}', '{today}', '{me}']

async function save(): Promise<void> {
  const phrase = edited.value
  if (!phrase || phrase.name.trim() === '' || phrase.text.trim() === '') {
    return
  }
  const done = await run((header) =>
    client.PUT('/api/phrases/{id}', {
      params: { path: { id: phrase.id }, header },
      body: { name: phrase.name, text: phrase.text },
    }),
  )
  if (done) {
    edited.value = undefined
  }
}

async function remove(id: string): Promise<void> {
  const done = await run((header) =>
    client.DELETE('/api/phrases/{id}', { params: { path: { id }, header } }),
  )
  if (done) {
    edited.value = undefined
  }
}
</script>

<template>
  <h1 class="text-lg font-semibold">Phrases</h1>
  <p class="text-ink-soft mb-3">
    What you write often, at hand in every answer. Fields are filled in as it is taken:
    {{ FIELDS.join(', ') }}; any other word in braces waits to be filled by hand.
  </p>
  <Loading v-if="phrases.isPending.value" />
  <Note v-else-if="phrases.isError.value" title="The phrases could not be loaded" problem>
    <p>{{ phrases.error.value?.message }}</p>
  </Note>
  <ul v-else-if="phrases.data.value?.length" class="bg-surface border-line mb-3 rounded border">
    <li
      v-for="phrase in phrases.data.value"
      :key="phrase.id"
      class="border-line flex items-center gap-3 border-b px-3 py-1.5 last:border-0"
      data-test="phrase"
    >
      <b class="shrink-0">{{ phrase.name }}</b>
      <span class="text-ink-soft min-w-0 flex-1 truncate">{{ phrase.text }}</span>
      <button class="btn btn-quiet h-7 px-1.5" type="button" @click="edited = { ...phrase }">
        Change
      </button>
    </li>
  </ul>
  <form
    v-if="edited"
    class="bg-surface border-line space-y-2 rounded border p-3"
    @submit.prevent="void save()"
  >
    <label class="block"
      >Name
      <input
        v-model="edited.name"
        class="field mt-0.5"
        maxlength="60"
        required
        data-test="phrase-name"
    /></label>
    <label class="block"
      >Text
      <textarea
        v-model="edited.text"
        class="field mt-0.5 h-32 resize-y p-2"
        maxlength="8000"
        required
        data-test="phrase-text"
      />
    </label>
    <div class="flex flex-wrap gap-2">
      <button class="btn btn-main" type="submit" data-test="phrase-save">Save</button>
      <button class="btn btn-quiet" type="button" @click="edited = undefined">Cancel</button>
      <button
        v-if="phrases.data.value?.some((each) => each.id === edited?.id)"
        class="btn ml-auto"
        type="button"
        @click="edited && void remove(edited.id)"
      >
        Delete
      </button>
    </div>
  </form>
  <button
    v-else
    class="btn"
    type="button"
    data-test="phrase-new"
    @click="edited = { id: newId(), name: '', text: 'Dear {name},\n\n' }"
  >
    New phrase
  </button>
</template>
