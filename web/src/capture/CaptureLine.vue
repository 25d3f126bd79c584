<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import { watchDebounced } from '@vueuse/core'
import { storeToRefs } from 'pinia'
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue'
import { client, unwrap, type CaptureView } from '@/api/client'
import { run } from '@/api/commands'
import { useFollowUps } from '@/api/followUpQueries'
import { useCategories, useIntake } from '@/api/queries'
import { followUpsOf, rowsAfter, type CaptureRow } from '@/capture/capture'
import CaptureField from '@/capture/CaptureField.vue'
import CaptureRowEditor from '@/capture/CaptureRowEditor.vue'
import { keepCapture, useCapture } from '@/capture/open'
import { peopleOf, placesOf } from '@/followups/details/people'

/**
 * One line from anywhere: what it says is shown part by part while it is typed, Enter makes the follow-up and the next
 * line can be typed. A pasted list makes one each, of notes only what carries an action.
 */
const categories = useCategories()
const followUps = useFollowUps()
const intake = useIntake()
const lines = computed(() => followUps.data.value?.open ?? [])
const read = ref<CaptureView>()
const readText = ref('')
const rows = ref<CaptureRow[]>([])
const made = ref<string[]>([])
const problem = ref('')
const field = useTemplateRef<{ focus: () => void }>('field')
const { open: captureOpen, text: captureText, note: captureNote } = storeToRefs(useCapture())
const several = computed(() => captureText.value.includes('\n'))
const marked = computed(() => (several.value ? [] : (read.value?.items[0]?.words ?? [])))
const actions = computed(() => read.value?.items.filter((item) => item.taken).length ?? 0)
const beyond = computed(() => (read.value?.rest ? read.value.rest.split('\n').length : 0))
const wanted = computed(() => followUpsOf(rows.value).length)

async function understand(text: string): Promise<void> {
  if (text.trim() === '') {
    read.value = undefined
    rows.value = []
    return
  }
  try {
    const view = await unwrap(client.POST('/api/capture/read', { body: { text } }))
    if (text === captureText.value) {
      read.value = view
      readText.value = text
      rows.value = rowsAfter(view.items, rows.value)
      problem.value = ''
    }
  } catch (error) {
    problem.value = error instanceof Error ? error.message : String(error)
  }
}

watchDebounced(captureText, understand, { debounce: 120 })
watch(captureOpen, (open) => {
  if (open) {
    made.value = []
    void understand(captureText.value)
    void nextTick(() => field.value?.focus())
  }
})

async function make(): Promise<void> {
  await understand(captureText.value)
  const wantedNow = followUpsOf(rows.value, captureNote.value)
  if (wantedNow.length === 0) {
    return
  }
  const done = await run((header) =>
    client.POST('/api/follow-ups', { params: { header }, body: { followUps: wantedNow } }),
  )
  if (done) {
    made.value = [...wantedNow.map((each) => each.content.title), ...made.value].slice(0, 8)
    keepCapture(read.value?.rest ?? '')
    captureNote.value = ''
    rows.value = []
    field.value?.focus()
  }
}

function onEnter(event: KeyboardEvent): void {
  const plain = !event.shiftKey && !event.altKey
  if (plain && (!several.value || event.ctrlKey || event.metaKey)) {
    event.preventDefault()
    void make()
  }
}
</script>

<template>
  <Dialog v-if="captureOpen" open class="relative z-40" @close="captureOpen = false">
    <div class="fixed inset-0 bg-[rgb(10_20_24/0.28)]" aria-hidden="true" />
    <DialogPanel
      data-keys="own"
      class="floating fixed inset-x-2 top-12 mx-auto flex max-h-[calc(100dvh-64px)] max-w-4xl flex-col overflow-visible p-4"
    >
      <DialogTitle class="font-semibold">Capture</DialogTitle>
      <CaptureField
        ref="field"
        :text="captureText"
        :words="marked"
        :read="readText"
        @typed="keepCapture"
        @keydown.enter="onEnter"
      />
      <p v-if="captureNote" class="text-ink-soft mt-1 truncate text-sm" data-test="capture-note">
        With a note: {{ captureNote }}
      </p>
      <p v-if="problem" class="text-rust mt-1">{{ problem }}</p>
      <p v-if="read?.sort === 'NOTES'" class="text-ink-soft mt-2">
        Of these notes {{ actions === 1 ? '1 line carries' : `${actions} lines carry` }} an action;
        the others stand below, unticked.
      </p>
      <div
        class="mt-2 min-h-0 space-y-3"
        :class="rows.length > 1 ? 'overflow-auto pb-1' : ''"
        aria-live="polite"
      >
        <CaptureRowEditor
          v-for="(_, i) in rows"
          :key="i"
          v-model="rows[i]!"
          :choices="intake.data.value?.quickChoices ?? []"
          :categories="categories.data.value ?? []"
          :people="peopleOf(lines)"
          :places="placesOf(lines)"
          :several="rows.length > 1"
        />
      </div>
      <p v-if="beyond" class="mt-2" data-test="capture-beyond">
        {{ beyond === 1 ? 'One more line is' : `${beyond} more lines are` }} kept here until these
        are made.
      </p>
      <ul
        v-if="made.length && rows.length === 0"
        class="text-ink-soft mt-2"
        data-test="capture-made"
      >
        <li v-for="(title, i) in made" :key="i" class="truncate">Made: {{ title }}</li>
      </ul>
      <div class="mt-3 flex flex-wrap items-center justify-end gap-2">
        <span v-if="captureText === ''" class="text-ink-soft mr-auto text-sm"
          >A pasted list makes one follow-up a line; of meeting notes the actions are taken.</span
        >
        <button class="btn btn-quiet" type="button" @click="captureOpen = false">
          Close <span class="key">Esc</span>
        </button>
        <button
          class="btn btn-main"
          type="button"
          :disabled="captureText.trim() === '' || (rows.length > 0 && wanted === 0)"
          data-test="capture-make"
          @click="void make()"
        >
          {{ wanted > 1 ? `Make ${wanted} follow-ups` : 'Make follow-up' }}
          <span class="key">{{ several ? 'Ctrl Enter' : 'Enter' }}</span>
        </button>
      </div>
    </DialogPanel>
  </Dialog>
</template>
