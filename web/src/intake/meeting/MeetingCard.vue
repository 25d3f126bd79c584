<script setup lang="ts">
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue'
import { client, type InvitationView, type MessageView } from '@/api/client'
import type { run } from '@/api/commands'
import { useInvitation } from '@/api/queries'
import { strip } from '@/intake/meeting/strip'
import { cost, kind, MY_ANSWER, people, when } from '@/intake/meeting/words'
import view from '@/intake/view'
import DayChooser from '@/ui/DayChooser.vue'
import KeyHint from '@/ui/KeyHint.vue'
import { useKeys } from '@/ui/keys'

/** A meeting that a message is about: when it is, what else is on that day, and the answer with one key. */
const { message, ready } = defineProps<{
  message: MessageView
  /** Whether its keys count now. */
  ready: boolean
}>()
const emit = defineEmits<{ decide: [call: Parameters<typeof run>[0]] }>()

const invitation = useInvitation(() => message.id)
const meeting = computed(() => invitation.data.value)
const drawn = computed(() => (meeting.value ? strip(meeting.value.around) : undefined))
const note = ref('')
const calendarId = ref<string | null>(null)
const proposing = ref(false)
const noteField = useTemplateRef<HTMLInputElement>('noteField')
watch(
  meeting,
  (now) => {
    calendarId.value = now?.calendarId ?? null
  },
  { immediate: true },
)

type Participation = NonNullable<InvitationView['answer']>

function answer(participation: Participation): void {
  const body = { participation, note: note.value, calendarId: calendarId.value }
  emit('decide', (header) =>
    client.POST('/api/messages/{id}/invitation/answer', {
      params: { path: { id: message.id }, header },
      body,
    }),
  )
}

function minutesOf(asked: InvitationView): number {
  return Math.min(Math.max(asked.around.toMinute - asked.around.fromMinute, 15), 1440)
}

function propose(day: string, time: string | null): void {
  const asked = meeting.value
  if (asked) {
    const body = { day, from: time ?? asked.from, minutes: minutesOf(asked), note: note.value }
    proposing.value = false
    emit('decide', (header) =>
      client.POST('/api/messages/{id}/invitation/counter', {
        params: { path: { id: message.id }, header },
        body,
      }),
    )
  }
}

async function toNote(): Promise<void> {
  await nextTick()
  noteField.value?.focus()
}

const answerable = () => ready && meeting.value?.canAnswer === true
useKeys(view.name, [
  {
    ...view.keys.accept,
    run: () => {
      answer('ACCEPTED')
    },
    when: answerable,
  },
  {
    ...view.keys.tentative,
    run: () => {
      answer('TENTATIVE')
    },
    when: answerable,
  },
  {
    ...view.keys.decline,
    run: () => {
      answer('DECLINED')
    },
    when: answerable,
  },
  { ...view.keys.otherTime, run: () => (proposing.value = true), when: answerable },
  { ...view.keys.meetingNote, run: () => void toNote(), when: answerable },
])
</script>

<template>
  <section
    v-if="meeting && drawn"
    class="border-line bg-paper mt-3 max-w-3xl rounded border px-3 py-2.5"
    aria-label="The meeting"
    data-test="meeting-card"
  >
    <p class="flex flex-wrap items-baseline gap-x-3">
      <span class="text-ink-soft">{{ kind(meeting) }}</span>
      <b data-test="meeting-when" :class="meeting.standing === 'CURRENT' ? '' : 'line-through'">{{
        when(meeting)
      }}</b>
      <span v-if="meeting.repeats" class="text-ink-soft">comes again</span>
      <bdi v-if="meeting.place">at {{ meeting.place }}</bdi>
    </p>
    <p v-if="meeting.standing === 'CALLED_OFF'" class="text-brass-ink mt-1" data-test="meeting-off">
      This meeting is called off.
    </p>
    <p v-else-if="meeting.standing === 'OUT_OF_DATE'" class="text-brass-ink mt-1">
      A later message has changed it.
      <RouterLink
        v-if="meeting.newerMessageId"
        class="text-kelp underline"
        :to="`/intake/${meeting.newerMessageId}`"
        >Go to that</RouterLink
      >
    </p>
    <template v-if="meeting.method !== 'CANCEL' && meeting.standing === 'CURRENT'">
      <div
        v-if="!meeting.allDay"
        class="relative mt-2 h-12"
        aria-hidden="true"
        data-test="meeting-day"
      >
        <div
          class="bg-surface absolute top-4 bottom-0 rounded-sm"
          :style="{ left: `${drawn.work.left}%`, width: `${drawn.work.width}%` }"
        />
        <span
          v-for="hour in drawn.hours"
          :key="hour.text"
          class="text-ink-soft border-line absolute top-0 h-full border-l pl-1 text-xs"
          :style="{ left: `${hour.left}%` }"
          >{{ hour.text }}</span
        >
        <div
          v-for="(block, i) in drawn.others"
          :key="i"
          class="border-line-strong text-ink-soft absolute top-5 h-6 truncate rounded-sm border px-1 text-xs leading-[22px]"
          :class="block.takesTime ? 'bg-dusk-wash' : 'bg-paper'"
          :style="{ left: `${block.left}%`, width: `${block.width}%` }"
          :title="block.title"
        >
          {{ block.title }}
        </div>
        <div
          class="absolute top-4 bottom-0 rounded-sm border-2"
          :class="meeting.around.collides.length ? 'border-brass' : 'border-kelp'"
          :style="{ left: `${drawn.asked.left}%`, width: `${drawn.asked.width}%` }"
        />
      </div>
      <p class="mt-1.5" data-test="meeting-cost">
        <span v-if="meeting.around.collides.length" class="text-brass-ink">
          Collides with {{ meeting.around.collides.join(', ') }}.
        </span>
        {{ cost(meeting) }}
      </p>
    </template>
    <p v-if="people(meeting) !== ''" class="text-ink-soft mt-1" data-test="meeting-people">
      <bdi>{{ people(meeting) }}</bdi>
    </p>
    <p v-if="meeting.comment" class="mt-1">
      <bdi>“{{ meeting.comment }}”</bdi>
    </p>
    <p v-if="meeting.answer && MY_ANSWER[meeting.answer]" class="mt-1" data-test="meeting-answer">
      {{ MY_ANSWER[meeting.answer] }}
    </p>
    <template v-if="meeting.canAnswer">
      <div class="mt-2 flex flex-wrap items-center gap-x-1.5 gap-y-2">
        <button
          class="btn btn-main h-8"
          type="button"
          data-test="meeting-accept"
          @click="answer('ACCEPTED')"
        >
          Accept <KeyHint :group="view.name" :does="view.keys.accept.does" or="Y" />
        </button>
        <button class="btn h-8" type="button" @click="answer('TENTATIVE')">
          Perhaps <KeyHint :group="view.name" :does="view.keys.tentative.does" or="T" />
        </button>
        <button class="btn h-8" type="button" @click="answer('DECLINED')">
          Decline <KeyHint :group="view.name" :does="view.keys.decline.does" or="D" />
        </button>
        <button
          class="btn h-8"
          type="button"
          :aria-expanded="proposing"
          data-test="meeting-other-time"
          @click="proposing = !proposing"
        >
          Another time … <KeyHint :group="view.name" :does="view.keys.otherTime.does" or="O" />
        </button>
      </div>
      <div
        v-if="proposing"
        class="mt-2 max-w-xs"
        data-keys="own"
        @keydown.esc.stop="proposing = false"
      >
        <DayChooser
          label="When instead, in words"
          @choose="(isoDay, time) => propose(isoDay, time)"
        />
      </div>
      <div class="mt-2 flex flex-wrap items-center gap-2">
        <label class="min-w-48 flex-1">
          <span class="sr-only">A note with the answer</span>
          <input
            ref="noteField"
            v-model="note"
            class="field h-8"
            maxlength="1000"
            placeholder="A note with the answer"
            data-test="meeting-note"
            @keydown.enter.prevent="($event.target as HTMLInputElement).blur()"
          />
        </label>
        <span class="max-sm:hidden"
          ><KeyHint :group="view.name" :does="view.keys.meetingNote.does" or="E"
        /></span>
        <label v-if="meeting.calendars.length" class="inline-flex items-center gap-1.5">
          <span class="text-ink-soft">into</span>
          <select v-model="calendarId" class="field h-8 w-auto" data-test="meeting-calendar">
            <option v-for="each in meeting.calendars" :key="each.id" :value="each.id">
              {{ each.name }}
            </option>
            <option :value="null">no calendar</option>
          </select>
        </label>
      </div>
    </template>
  </section>
</template>
