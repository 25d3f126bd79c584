<script setup lang="ts">
import { ref } from 'vue'
import { saveFile } from '@/files/saveFile'
import { today } from '@/ui/time'

/** The whole account as a file. */
const saving = ref(false)

async function save(): Promise<void> {
  saving.value = true
  await saveFile('/api/account/export', `squallnote-${today()}.zip`)
  saving.value = false
}
</script>

<template>
  <section class="mt-6 max-w-2xl" data-test="take-along">
    <h2 class="font-semibold">Take it with you</h2>
    <p class="text-ink-soft mb-2">
      Everything of yours in one ZIP of open formats, as it is at this moment: the messages as they
      came (.eml), follow-ups as tasks (iCalendar), people (vCard), files, and all the rest as lines
      of JSON with a description. No password is in it. Whoever runs another Squallnote takes it in
      there with <code>./squallnote import FILE.zip</code>.
    </p>
    <button
      class="btn max-sm:h-11"
      type="button"
      data-test="export"
      :disabled="saving"
      @click="void save()"
    >
      {{ saving ? 'Putting it together …' : 'Save everything' }}
    </button>
  </section>
</template>
