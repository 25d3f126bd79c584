<script setup lang="ts">
import { useStorage } from '@vueuse/core'
import { computed, useTemplateRef } from 'vue'
import { usePerson } from '@/api/queries'
import { merge, saveNote, split } from '@/people/changes'
import ContactLines from '@/people/ContactLines.vue'
import MeetingsAhead from '@/people/MeetingsAhead.vue'
import NextTalk from '@/people/NextTalk.vue'
import OpenThreads from '@/people/OpenThreads.vue'
import StandingRules from '@/people/StandingRules.vue'
import view from '@/people/view'
import KeyHint from '@/ui/KeyHint.vue'
import { useKeys } from '@/ui/keys'
import Loading from '@/ui/Loading.vue'
import Note from '@/ui/Note.vue'
import NoteField from '@/ui/NoteField.vue'
import { day, workingSpan } from '@/ui/time'

/** Somebody: all their addresses, what is open with them, what waits for the next talk, what I noted. */
const { id } = defineProps<{ id: string }>()
const emit = defineEmits<{ close: [] }>()

const person = usePerson(() => id)
const talk = useTemplateRef<InstanceType<typeof NextTalk>>('talk')
/** What is written and not kept yet lies in this browser, also over a reload. */
const written = useStorage<string | null>(`person-note.${id}`, null)
const note = computed({
  get: () => written.value ?? person.data.value?.note ?? '',
  set: (text) => (written.value = text),
})
/** What stood there when somebody began to write. */
const was = useStorage(`person-note-was.${id}`, '')

function begin(): void {
  if (written.value === null) {
    was.value = person.data.value?.note ?? ''
  }
}

async function keepNote(): Promise<void> {
  const one = person.data.value
  const text = written.value
  if (!one || text === null) {
    return
  }
  if (text.trim() === was.value.trim() || (await saveNote(one.id, text, was.value))) {
    await person.refetch()
    written.value = null
  }
}

function print(): void {
  window.print()
}

useKeys(view.name, [
  {
    ...view.keys.matter,
    run: () => {
      talk.value?.focus()
    },
  },
])
</script>

<template>
  <div class="h-full min-w-0 flex-1 overflow-auto px-3 py-2 sm:px-6" data-test="person">
    <Loading v-if="person.isPending.value" />
    <Note v-else-if="person.isError.value" title="This person could not be loaded" problem>
      <p>{{ person.error.value?.message }}</p>
      <button class="btn" type="button" @click="void person.refetch()">Try again</button>
    </Note>
    <template v-else-if="person.data.value">
      <div class="flex flex-wrap items-center gap-x-3 gap-y-1">
        <button class="btn max-sm:h-11 sm:hidden" type="button" @click="emit('close')">
          All people
        </button>
        <h2 class="min-w-0 text-lg font-semibold wrap-anywhere">
          <bdi>{{ person.data.value.name }}</bdi>
        </h2>
        <p v-if="person.data.value.usualMinutes !== null" class="text-ink-soft">
          usually answers within {{ workingSpan(person.data.value.usualMinutes) }} of working time
        </p>
        <p
          v-if="person.data.value.myUsualMinutes !== null"
          class="text-ink-soft"
          data-test="my-usual"
        >
          I usually answer within {{ workingSpan(person.data.value.myUsualMinutes) }}
        </p>
        <span class="ml-auto flex gap-1 print:hidden">
          <RouterLink
            class="btn max-sm:h-11"
            :to="{ name: 'find', query: { person: person.data.value.id } }"
            >Everything with them</RouterLink
          >
          <a
            class="btn max-sm:h-11"
            :href="`/api/people/${encodeURIComponent(person.data.value.id)}/card.vcf`"
            download
            >vCard</a
          >
          <RouterLink
            class="btn max-sm:h-11"
            data-test="person-proof"
            :to="{
              name: 'record',
              params: { part: 'proof' },
              query: { person: person.data.value.id },
            }"
            >Proof</RouterLink
          >
          <button class="btn max-sm:h-11" type="button" @click="print">Print</button>
        </span>
      </div>
      <ContactLines :details="person.data.value.details" />
      <ul class="mt-1">
        <li
          v-for="address in person.data.value.addresses"
          :key="address.address"
          class="flex flex-wrap items-center gap-x-3"
          data-test="address"
        >
          <bdi class="wrap-anywhere">{{ address.address }}</bdi>
          <span class="text-ink-soft text-sm">{{
            address.names.filter((each) => each !== person.data.value?.name).join(', ')
          }}</span>
          <button
            v-if="address.address !== person.data.value.id"
            class="btn btn-quiet h-7 px-2 max-sm:h-11 print:hidden"
            type="button"
            @click="void split(address.address)"
          >
            Somebody else
          </button>
        </li>
      </ul>
      <p
        v-for="other in person.data.value.alike"
        :key="other.id"
        class="bg-brass-wash mt-2 flex flex-wrap items-center gap-2 rounded px-3 py-1.5 print:hidden"
        data-test="alike"
      >
        <span
          >Perhaps the same person: <bdi class="font-semibold">{{ other.name }}</bdi>,
          {{ other.reason }}.</span
        >
        <button
          class="btn h-8 max-sm:h-11"
          type="button"
          @click="void merge(other.id, person.data.value.id)"
        >
          They are one
        </button>
      </p>
      <div class="mt-3 grid gap-x-8 gap-y-4 lg:grid-cols-2">
        <OpenThreads title="I owe them" none="Nothing." :threads="person.data.value.owed" mine />
        <OpenThreads
          title="They owe me"
          none="Nothing."
          :threads="person.data.value.owing"
          :mine="false"
        />
        <NextTalk :id="person.data.value.id" ref="talk" :items="person.data.value.talk" />
        <section aria-label="Follow-ups with them">
          <h3 class="font-semibold">Follow-ups</h3>
          <p v-if="person.data.value.followUps.length === 0" class="text-ink-soft">None is open.</p>
          <ul>
            <li
              v-for="followUp in person.data.value.followUps"
              :key="followUp.id"
              class="border-line flex min-h-8 items-center gap-3 border-b max-sm:min-h-11"
            >
              <RouterLink
                class="hover:text-kelp min-w-0 truncate"
                :to="`/follow-ups/${followUp.id}`"
                >{{ followUp.title }}</RouterLink
              >
              <span class="text-ink-soft ml-auto whitespace-nowrap">{{
                followUp.replyDay ? day(followUp.replyDay) : 'no date'
              }}</span>
            </li>
          </ul>
        </section>
        <MeetingsAhead :meetings="person.data.value.meetings" />
        <section aria-label="Note" @focusin="begin" @focusout="void keepNote()">
          <h3 class="mb-1 font-semibold">Note</h3>
          <NoteField
            v-model="note"
            label="Note"
            placeholder="What is good to know: hours, phone numbers, how they like it"
            data-test="person-note"
          />
        </section>
        <StandingRules class="lg:col-span-2" :address="person.data.value.id" />
      </div>
      <p class="text-ink-soft mt-2 text-sm max-sm:hidden print:hidden">
        <KeyHint :group="view.name" :does="view.keys.matter.does" or="T" /> something for the next
        talk
      </p>
    </template>
  </div>
</template>
