<script setup lang="ts">
import { Bell, CalendarClock } from '@lucide/vue'
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { client, type DueReminder, type MeetingTold } from '@/api/client'
import { run } from '@/api/commands'
import { useReminders } from '@/api/queries'
import { notify } from '@/reminders/notify'
import { shortMoment } from '@/ui/time'

/** What has come up, over every view until somebody has seen to it. */
const MOST = 3
const LATER = [
  { words: 'in 10 min', name: '10 min' },
  { words: 'in 1 h', name: '1 h' },
  { words: 'tomorrow', name: 'tomorrow' },
] as const

const router = useRouter()
const reminders = useReminders()
const due = computed(() => reminders.data.value?.due ?? [])
const meetings = computed(() => reminders.data.value?.meetings ?? [])
const all = ref(false)
const shown = computed(() => (all.value ? due.value : due.value.slice(0, MOST)))

watch(
  [due, meetings],
  ([nowDue, nowMeetings]) => {
    void notify(nowDue, nowMeetings, (id) => {
      void router.push(`/follow-ups/${id}`)
    })
  },
  { immediate: true },
)

function done(one: DueReminder): void {
  void run((header) =>
    client.POST('/api/follow-ups/{id}/state', {
      params: {
        path: { id: one.followUpId },
        query: { state: 'DONE', version: one.version },
        header,
      },
    }),
  )
}

function later(one: DueReminder, words: string): void {
  void run((header) =>
    client.POST('/api/reminders/{id}/put-off', {
      params: { path: { id: one.id }, header },
      body: { words },
    }),
  )
}

function seen(one: DueReminder): void {
  void run((header) =>
    client.POST('/api/reminders/{id}/settle', { params: { path: { id: one.id }, header } }),
  )
}

function seenMeeting(one: MeetingTold): void {
  const body = { uid: one.uid, startsAt: one.startsAt }
  void run(
    (header) => client.POST('/api/reminders/meetings/settle', { params: { header }, body }),
    'final',
  )
}
</script>

<template>
  <section
    v-if="due.length || meetings.length"
    class="border-line bg-brass-wash max-h-[40vh] shrink-0 space-y-1 overflow-auto border-b px-3 py-1.5 max-sm:py-2.5"
    aria-label="Reminders"
    role="status"
    data-test="reminders"
  >
    <div
      v-for="one in meetings"
      :key="one.uid + one.startsAt"
      class="flex flex-wrap items-center gap-x-2 gap-y-1"
    >
      <CalendarClock :size="15" class="text-brass-ink shrink-0" aria-hidden="true" />
      <b>{{ shortMoment(one.startsAt) }}</b>
      <bdi>{{ one.title }}</bdi>
      <bdi v-if="one.place" class="text-ink-soft">at {{ one.place }}</bdi>
      <button class="btn h-7 px-2" type="button" @click="seenMeeting(one)">Seen</button>
    </div>
    <div
      v-for="one in shown"
      :key="one.id"
      class="flex flex-wrap items-center gap-x-2 gap-y-1"
      data-test="reminder"
    >
      <Bell :size="15" class="text-brass-ink shrink-0" aria-hidden="true" />
      <RouterLink
        class="min-w-0 truncate font-semibold hover:underline"
        :to="`/follow-ups/${one.followUpId}`"
      >
        {{ one.title }}
      </RouterLink>
      <span v-if="one.answered" class="text-ink-soft">somebody has answered</span>
      <span class="flex flex-wrap items-center gap-1">
        <button class="btn h-7 px-2" type="button" data-test="reminder-done" @click="done(one)">
          Done
        </button>
        <span class="text-ink-soft ml-1">again</span>
        <button
          v-for="time in LATER"
          :key="time.words"
          class="btn btn-quiet h-7 px-1.5"
          type="button"
          :aria-label="`Remind me again ${time.words}`"
          @click="later(one, time.words)"
        >
          {{ time.name }}
        </button>
        <button class="btn h-7 px-2" type="button" data-test="reminder-seen" @click="seen(one)">
          Seen
        </button>
      </span>
    </div>
    <button
      v-if="!all && due.length > MOST"
      class="text-kelp hover:underline"
      type="button"
      @click="all = true"
    >
      and {{ due.length - MOST }} more
    </button>
  </section>
</template>
