<script setup lang="ts">
import { computed } from 'vue'
import type { ChaseSettings } from '@/api/client'
import { REMINDER_TEXTS } from '@/settings/reminderTexts'

type Words = ChaseSettings['languages'][number]

/** The words of reminders in other languages: for those who write in one. */
const all = defineModel<Words[]>({ required: true })
const emit = defineEmits<{ changed: [] }>()
const NAMES: Record<string, string> = {
  de: 'Deutsch',
  fr: 'Français',
  nl: 'Nederlands',
  es: 'Español',
  it: 'Italiano',
}
const free = computed(() =>
  Object.keys(NAMES).filter((tag) => !all.value.some((each) => each.language === tag)),
)

function add(language: string): void {
  all.value = [...all.value, { language, firstText: '', secondText: '', lastText: '' }]
  emit('changed')
}

function remove(language: string): void {
  all.value = all.value.filter((each) => each.language !== language)
  emit('changed')
}
</script>

<template>
  <h3 class="pt-2 font-semibold">In other languages</h3>
  <p class="text-ink-soft max-w-prose">
    Whoever writes to you in one of these is reminded in it. Left empty, a text is one that comes
    with the language; it is shown here after saving.
  </p>
  <fieldset v-for="each in all" :key="each.language" class="space-y-2" data-test="language">
    <legend class="flex items-center gap-3 font-semibold">
      {{ NAMES[each.language] }}
      <button class="btn btn-quiet h-7 max-sm:h-11" type="button" @click="remove(each.language)">
        Remove
      </button>
    </legend>
    <label
      v-for="text in REMINDER_TEXTS"
      :key="text.field"
      class="block max-w-2xl"
      :lang="each.language"
    >
      <span class="block" lang="en">{{ text.name }}</span>
      <textarea
        v-model="each[text.field]"
        class="field mt-1 min-h-40 w-full"
        maxlength="5000"
        :data-test="`${each.language}-${text.field}`"
      />
    </label>
  </fieldset>
  <div class="flex flex-wrap gap-2">
    <button
      v-for="tag in free"
      :key="tag"
      class="btn h-8 max-sm:h-11"
      type="button"
      :data-test="`add-${tag}`"
      @click="add(tag)"
    >
      {{ NAMES[tag] }}
    </button>
  </div>
</template>
