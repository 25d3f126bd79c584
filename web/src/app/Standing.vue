<script setup lang="ts">
import { CloudOff, Send, TriangleAlert } from '@lucide/vue'
import { computed } from 'vue'
import { client, type OutboxLine } from '@/api/client'
import { run } from '@/api/commands'
import { useLive } from '@/api/live'
import { useOutbox, useReadingProgress, useSources } from '@/api/queries'

const live = useLive()

/** What the user has to know of wherever they are: a broken connection, a source in trouble, an answer in doubt. */
const sources = useSources()
const outbox = useOutbox()
const again = useReadingProgress()
const readAgain = computed(() =>
  again.data.value && again.data.value.total > 0 ? again.data.value : undefined,
)
const troubled = computed(() => (sources.data.value ?? []).filter((s) => s.status === 'TROUBLE'))
const reading = computed(() =>
  (sources.data.value ?? []).filter((s) => s.status === 'READING' && s.progressTotal > 0),
)
const sends = (line: OutboxLine) => line.kind.startsWith('SEND')
const waiting = computed(
  () =>
    (outbox.data.value ?? []).filter(
      (line) => sends(line) && (line.state === 'WAITING' || line.state === 'UNDER_WAY'),
    ).length,
)
/** What failed for one reason is one thing to decide. */
const stuck = computed(() => {
  const groups = new Map<string, OutboxLine[]>()
  for (const line of outbox.data.value ?? []) {
    if (line.state === 'UNCERTAIN' || line.state === 'FAILED') {
      const key = sends(line) ? line.id : `${line.kind} ${line.lastError}`
      groups.set(key, [...(groups.get(key) ?? []), line])
    }
  }
  return [...groups].map(([key, lines]) => ({ key, lines }))
})

/** What was tried on a server; of an answer its addressee says enough. */
const TRIED: Record<OutboxLine['kind'], string> = {
  SEND_MAIL: '',
  SEND_CHAT: '',
  SEND_CHAT_FILE: '',
  REACT: 'Reacting',
  UNREACT: 'Taking a reaction back',
  READ_UP_TO: 'Moving the read marker on',
  JOIN_ROOM: 'Entering the room',
  LEAVE_ROOM: 'Leaving the room',
  APPEND_SENT: 'Putting it among the sent mail',
  ARCHIVE: 'Archiving',
  UNARCHIVE: 'Bringing back from the archive',
  MARK_READ: 'Marking as read',
  MARK_UNREAD: 'Marking as unread',
  KEEP_DRAFT: 'Keeping the draft on the server',
  FORGET_DRAFT: 'Removing the draft from the server',
  WRITE_EVENT: 'Writing into the calendar',
  WRITE_TASK: 'Writing into the task list',
}

async function each(lines: OutboxLine[], act: (line: OutboxLine) => Promise<unknown>) {
  for (const line of lines) {
    await act(line)
  }
}

function path(line: OutboxLine) {
  return { path: { id: line.id } }
}
const sendAgain = (line: OutboxLine) =>
  run(
    (header) => client.POST('/api/outbox/{id}/send-again', { params: { ...path(line), header } }),
    'final',
  )
const wentOut = (line: OutboxLine) =>
  run(
    (header) => client.POST('/api/outbox/{id}/went-out', { params: { ...path(line), header } }),
    'final',
  )
const giveUp = (line: OutboxLine) =>
  run(
    (header) => client.POST('/api/outbox/{id}/give-up', { params: { ...path(line), header } }),
    'final',
  )
</script>

<template>
  <div
    v-if="
      !live.connected || troubled.length || reading.length || readAgain || waiting || stuck.length
    "
    class="border-line bg-surface shrink-0 space-y-1 border-b px-3 py-1.5"
    role="status"
  >
    <p v-if="!live.connected" class="text-rust flex items-center gap-2">
      <CloudOff :size="15" aria-hidden="true" /> No connection to the application. What you see may
      be old; what you write is kept. Trying again.
    </p>
    <p v-for="source in troubled" :key="source.id" class="text-brass-ink flex items-center gap-2">
      <TriangleAlert :size="15" class="shrink-0" aria-hidden="true" />
      <span>{{ source.name }}: {{ source.statusText }}</span>
    </p>
    <p v-for="source in reading" :key="source.id" class="flex items-center gap-2">
      Reading {{ source.name }}
      <progress class="h-2 w-40" :value="source.progressDone" :max="source.progressTotal">
        {{ source.progressDone }} of {{ source.progressTotal }}
      </progress>
      <span class="text-ink-soft">{{ source.progressDone }} of {{ source.progressTotal }}</span>
    </p>
    <p v-if="readAgain" class="flex items-center gap-2" data-test="reading-again">
      Messages are read again with your settings
      <progress class="h-2 w-40" :value="readAgain.done" :max="readAgain.total">
        {{ readAgain.done }} of {{ readAgain.total }}
      </progress>
      <span class="text-ink-soft">{{ readAgain.done }} of {{ readAgain.total }}</span>
    </p>
    <p v-if="waiting" class="text-ink-soft flex items-center gap-2">
      <Send :size="15" aria-hidden="true" />
      {{ waiting === 1 ? 'One answer is' : `${waiting} answers are` }} about to go out.
    </p>
    <div
      v-for="{ key, lines } in stuck"
      :key="key"
      class="flex flex-wrap items-center gap-2"
      data-test="stuck"
    >
      <TriangleAlert :size="15" class="text-rust shrink-0" aria-hidden="true" />
      <template v-for="line in lines.slice(0, 1)" :key="line.id">
        <span
          ><template v-if="TRIED[line.kind]">{{ TRIED[line.kind] }}, </template
          ><b>{{ line.about }}</b
          ><template v-if="lines.length > 1"> and {{ lines.length - 1 }} more</template>:
          {{ line.lastError }}</span
        >
        <button class="btn" type="button" @click="void each(lines, sendAgain)">
          {{ sends(line) ? 'Send it again' : lines.length > 1 ? 'Try them again' : 'Try it again' }}
        </button>
        <button
          v-if="line.state === 'UNCERTAIN'"
          class="btn"
          type="button"
          @click="void each(lines, wentOut)"
        >
          It went out
        </button>
        <button class="btn" type="button" @click="void each(lines, giveUp)">
          {{ sends(line) ? 'Do not send' : lines.length > 1 ? 'Leave them' : 'Leave it' }}
        </button>
      </template>
    </div>
  </div>
</template>
