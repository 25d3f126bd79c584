<script setup lang="ts">
import { reactive, ref, watch } from 'vue'
import { client, type ChaseSettings } from '@/api/client'
import { run } from '@/api/commands'
import { useChaseSettings } from '@/api/queries'
import OtherLanguages from '@/settings/OtherLanguages.vue'
import OtherDays from '@/settings/OtherDays.vue'
import { REMINDER_TEXTS } from '@/settings/reminderTexts'
import Loading from '@/ui/Loading.vue'
import Note from '@/ui/Note.vue'

const settings = useChaseSettings()
const form = reactive<ChaseSettings>({
  first: 3,
  then: 2,
  afterPromise: 1,
  firstText: '',
  secondText: '',
  lastText: '',
  exceptions: [],
  languages: [],
})
watch(
  () => settings.data.value,
  (now) => {
    if (now) {
      Object.assign(form, {
        ...now,
        exceptions: now.exceptions.map((each) => ({ ...each })),
        languages: now.languages.map((each) => ({ ...each })),
      })
    }
  },
  { immediate: true },
)
const DAYS = [
  { field: 'first', before: 'After', after: 'working days without an answer', from: 1 },
  { field: 'then', before: 'then after', after: 'working days each time', from: 1 },
  { field: 'afterPromise', before: 'A promise:', after: 'working days after its day', from: 0 },
] as const
const saved = ref(false)

async function save(): Promise<void> {
  const done = await run((header) =>
    client.PUT('/api/settings/chasing', { params: { header }, body: { ...form } }),
  )
  saved.value = done !== undefined
}
</script>

<template>
  <h1 class="text-lg font-semibold">Chasing</h1>
  <p class="text-ink-soft mb-4 max-w-prose">
    When somebody who owes you an answer comes up in the chase round, and with which words. Who is
    known to take longer is left in peace for longer; who is away, until they are back.
  </p>
  <Loading v-if="settings.isPending.value" />
  <Note v-else-if="settings.isError.value" title="Your choices could not be loaded" problem>
    <p>{{ settings.error.value?.message }}</p>
  </Note>
  <form v-else class="space-y-5" @submit.prevent="void save()" @input="saved = false">
    <section class="space-y-2">
      <h2 class="font-semibold">When</h2>
      <label v-for="each in DAYS" :key="each.field" class="flex flex-wrap items-center gap-2">
        {{ each.before }}
        <input
          v-model.number="form[each.field]"
          class="field h-8 w-16 max-sm:h-11"
          type="number"
          :min="each.from"
          max="60"
          required
          :data-test="each.field"
        />
        {{ each.after }}
      </label>
      <OtherDays v-model="form.exceptions" @changed="saved = false" />
    </section>
    <section class="space-y-3">
      <h2 class="font-semibold">Words</h2>
      <p class="text-ink-soft max-w-prose">
        <code>{name}</code> is their given name, <code>{asks}</code> what is open with its date,
        <code>{day}</code> the day by which it is wanted, <code>{me}</code> your name. Left empty, a
        text is as it was in the beginning.
      </p>
      <label v-for="each in REMINDER_TEXTS" :key="each.field" class="block max-w-2xl">
        <span class="block">{{ each.name }}</span>
        <textarea
          v-model="form[each.field]"
          class="field mt-1 min-h-64 w-full"
          maxlength="5000"
          :data-test="each.field"
        />
      </label>
      <OtherLanguages v-model="form.languages" @changed="saved = false" />
    </section>
    <button class="btn btn-main max-sm:h-11" type="submit" data-test="save-chasing">Save</button>
    <span v-if="saved" class="text-ink-soft ml-3" role="status">Saved.</span>
  </form>
</template>
