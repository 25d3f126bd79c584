<script setup lang="ts">
import { storeToRefs } from 'pinia'
import { computed, ref } from 'vue'
import FileView from '@/takein/FileView.vue'
import { arrive, useArriving } from '@/takein/arriving'
import { takeInFolder, useFolder } from '@/takein/mailFolder'

/** Where things come in that other programs have kept. */
const taken = ref<number>()
const { waiting } = storeToRefs(useArriving())
const { progress } = storeToRefs(useFolder())
const KINDS = [
  {
    what: 'Follow-ups',
    from: 'a table (CSV) from a spreadsheet or a list',
    how: 'columns are assigned, dates shown as they are understood, and you look before anything is changed',
  },
  { what: 'Follow-ups', from: 'tasks (iCalendar, .ics)', how: 'with how they come back' },
  {
    what: 'Follow-ups',
    from: 'checklists (Markdown or plain text)',
    how: 'a line is one, what is indented its steps',
  },
  {
    what: 'Messages',
    from: 'mail (.eml, mbox), or a folder of it (Maildir)',
    how: 'threads and whose turn it is are worked out; a message that is there already is not taken twice',
  },
  { what: 'Meetings', from: 'calendars (iCalendar, .ics)', how: 'they take time in your days' },
  { what: 'People', from: 'cards (vCard, .vcf)', how: 'all addresses of a card are one person' },
]
const underWay = computed(
  () =>
    progress.value !== undefined &&
    progress.value.problem === undefined &&
    progress.value.done < progress.value.total,
)

async function choose(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement
  const files = [...(input.files ?? [])]
  input.value = ''
  taken.value = undefined
  for (const file of files) {
    await arrive(file)
  }
}

function chooseFolder(event: Event): void {
  const input = event.target as HTMLInputElement
  const files = [...(input.files ?? [])]
  input.value = ''
  if (files.length > 0) {
    void takeInFolder(files)
  }
}

/** The file after the one that is looked at. */
function next(): void {
  waiting.value = waiting.value.slice(1)
}

function done(count: number): void {
  next()
  taken.value = count
}
</script>

<template>
  <div class="flex h-full flex-col">
    <FileView
      v-if="waiting[0]"
      :file="waiting[0]"
      :more="waiting.length - 1"
      @done="done"
      @other="next"
    />
    <div v-else class="overflow-auto px-3 py-3 sm:px-6">
      <div class="mx-auto max-w-3xl">
        <h1 class="text-lg font-semibold">Take in</h1>
        <p
          v-if="taken !== undefined"
          class="bg-kelp-wash mt-2 rounded px-3 py-2"
          role="status"
          data-test="taken"
        >
          {{ taken === 1 ? 'One follow-up was' : `${taken} follow-ups were` }} taken in.
          <RouterLink class="text-kelp underline" to="/follow-ups"
            >Look at the follow-ups</RouterLink
          >
        </p>
        <p class="text-ink-soft mt-1">
          What other programs have kept comes in as a file: choose it here, or drop it anywhere.
        </p>
        <div class="mt-3 flex flex-wrap items-center gap-2">
          <label class="btn btn-main relative h-9 max-sm:h-11">
            Choose files …
            <input
              class="absolute inset-0 cursor-pointer opacity-0"
              type="file"
              multiple
              data-test="choose-file"
              aria-label="Choose files"
              @change="void choose($event)"
            />
          </label>
          <label class="btn relative h-9 max-sm:h-11" :class="underWay ? 'opacity-60' : ''">
            A folder of mail …
            <input
              class="absolute inset-0 cursor-pointer opacity-0"
              type="file"
              webkitdirectory
              data-test="choose-folder"
              aria-label="Choose a folder of mail"
              :disabled="underWay"
              @change="chooseFolder"
            />
          </label>
        </div>
        <div
          v-if="progress"
          class="mt-3"
          :role="progress.problem ? 'alert' : 'status'"
          data-test="folder"
        >
          <p>
            {{ progress.done }} of {{ progress.total }} messages looked at:
            {{ progress.added }} new, {{ progress.known }} known before.
            <template v-if="!underWay && !progress.problem">The folder is in.</template>
          </p>
          <progress v-if="underWay" class="h-2 w-64" :value="progress.done" :max="progress.total" />
          <p v-if="progress.problem" class="text-rust">
            {{ progress.problem }}
            <template v-if="progress.done > 0"
              >What came in stays. Choose the folder again to go on: nothing is taken
              twice.</template
            >
          </p>
        </div>
        <dl class="border-line mt-5 border-t">
          <div
            v-for="kind in KINDS"
            :key="kind.from"
            class="border-line grid gap-x-4 border-b py-1.5 sm:grid-cols-[7rem_1fr]"
          >
            <dt class="font-semibold">{{ kind.what }}</dt>
            <dd>
              from {{ kind.from }}<span class="text-ink-soft">: {{ kind.how }}.</span>
            </dd>
          </div>
        </dl>
        <p class="text-ink-soft mt-3">
          A whole account that was saved elsewhere comes in by
          <code>./squallnote import FILE.zip</code>, and very large mail files by
          <code>./squallnote import FILE</code>.
        </p>
      </div>
    </div>
  </div>
</template>
