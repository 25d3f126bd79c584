<script setup lang="ts">
import { Download, Paperclip } from '@lucide/vue'
import { computed, ref, watch } from 'vue'
import type { MessageView } from '@/api/client'
import { useThread } from '@/api/queries'
import HandedOver from '@/message/HandedOver.vue'
import OfficeNote from '@/message/OfficeNote.vue'
import HtmlBody from '@/message/HtmlBody.vue'
import MessageText from '@/message/MessageText.vue'
import ReadingLine from '@/message/ReadingLine.vue'
import FileChip from '@/files/FileChip.vue'
import SubjectText from '@/message/SubjectText.vue'
import RoomInvitation from '@/message/RoomInvitation.vue'
import SendAgain from '@/message/SendAgain.vue'
import Signs from '@/message/Signs.vue'
import ThreadMessages from '@/message/ThreadMessages.vue'
import { moment, replyBy, workingSpan } from '@/ui/time'
import Trace from '@/ui/Trace.vue'

const { message } = defineProps<{ message: MessageView }>()
const emit = defineEmits<{ wrong: [always: boolean] }>()
const asWritten = ref(false)
watch(
  () => message.id,
  () => (asWritten.value = false),
)
const thread = useThread(() => message.threadId)
const to = computed(() => message.to.map((party) => party.name || party.address).join(', '))
const earlier = computed(() => {
  const all = thread.data.value?.messages ?? []
  const place = all.findIndex((each) => each.id === message.id)
  return all.slice(0, Math.max(place, 0)).slice(-20)
})
const later = computed(() => {
  const all = thread.data.value?.messages ?? []
  return all.slice(all.findIndex((each) => each.id === message.id) + 1)
})
const itself = computed(() => thread.data.value?.messages.find((each) => each.id === message.id))
const addressed = computed(() => {
  if (message.roomInvitation) {
    return 'invites you'
  }
  if (message.channel === 'CHAT') {
    return message.to.length > 1 ? `in ${message.room ?? 'a room'}` : 'direct message'
  }
  return `to ${to.value || 'nobody named'}`
})
/** How long the thread is and how long nobody has written in it. */
const silence = computed(() => {
  const line = thread.data.value?.line
  if (!line) {
    return ''
  }
  const count = line.messageCount === 1 ? '1 message' : `${line.messageCount} messages`
  const minutes = line.silenceWorkingMinutes
  return minutes < 1 ? count : `${count}, silent for ${workingSpan(minutes)}`
})
/** Pictures of a chat come from its own homeserver and are shown at once; those of a mail when somebody opens them. */
const pictures = computed(() =>
  message.channel === 'CHAT'
    ? message.files.filter((file) => file.viewable && file.type.startsWith('image/'))
    : [],
)
const cc = computed(() => message.cc.map((party) => party.name || party.address).join(', '))
const heading = computed(() => message.subject || message.room || 'Direct message')
</script>

<template>
  <article class="px-4 pt-3 pb-6 sm:px-6" :data-message="message.id">
    <header class="border-line border-b pb-3">
      <div class="flex flex-wrap items-start justify-between gap-x-4 gap-y-1">
        <h1 class="min-w-0 text-lg font-semibold wrap-anywhere">
          <SubjectText :text="heading" :mark="message.reading.subjectMark" />
        </h1>
        <RouterLink
          v-if="thread.data.value"
          :to="`/threads/${message.threadId}?message=${message.id}`"
          class="text-ink-soft hover:text-kelp flex items-center gap-2"
          title="Open the thread"
        >
          <Trace :thread="thread.data.value.line" :now="thread.data.value.now" :width="180" />
          <span class="whitespace-nowrap">{{ silence }}</span>
        </RouterLink>
      </div>
      <p class="mt-1">
        <RouterLink
          class="hover:text-kelp font-semibold"
          :to="`/people/${encodeURIComponent(message.from.address)}`"
          :title="message.from.address"
          data-test="writer"
          ><bdi>{{ message.from.name || message.from.address }}</bdi></RouterLink
        >
        <bdi v-if="message.doubts.length && message.from.name" class="text-ink-soft">
          &lt;{{ message.from.address }}&gt;</bdi
        >
        <span class="text-ink-soft"
          >{{ ` ${addressed}` }} <template v-if="cc"> · cc {{ cc }}</template> ·
          {{ moment(message.sentAt) }} · {{ message.source }}</span
        >
        <span v-if="message.edited" class="text-ink-soft"> · edited</span>
      </p>
      <ReadingLine
        v-if="message.direction === 'INCOMING' && !message.removed"
        :message="message"
        @wrong="(always) => emit('wrong', always)"
      />
      <p v-for="doubt in message.doubts" :key="doubt" class="text-brass-ink mt-1" data-test="doubt">
        <bdi>{{ doubt }}</bdi>
      </p>
      <p v-for="notice in message.notices" :key="notice" class="text-brass-ink mt-1">
        {{ notice }}
      </p>
      <slot name="meeting" />
      <RoomInvitation v-if="message.roomInvitation" :message="message" />
      <SendAgain
        v-if="message.nature === 'BOUNCE' && message.decision === 'UNDECIDED'"
        :message="message"
      />
      <HandedOver v-if="message.handOver" :message="message" :hand-over="message.handOver" />
      <OfficeNote
        v-if="message.direction === 'INCOMING' && message.channel === 'MAIL'"
        :message-id="message.id"
      />
      <p v-if="message.followUps.length" class="mt-2 flex flex-wrap gap-2">
        <RouterLink
          v-for="followUp in message.followUps"
          :key="followUp.id"
          class="part"
          :class="followUp.open ? '' : 'line-through'"
          :to="`/follow-ups/${followUp.id}`"
          data-test="message-follow-up"
          >{{ followUp.linked ? 'Follow-up' : 'In this thread' }}: {{ followUp.title
          }}<span v-if="followUp.open && followUp.replyDay" class="text-ink-soft">{{
            replyBy(followUp.replyDay, followUp.replyTime)
          }}</span></RouterLink
        >
      </p>
    </header>

    <div class="pt-4">
      <p v-if="message.removed" class="text-ink-soft">This message was taken back by its writer.</p>
      <template v-else>
        <div
          v-if="message.hasHtml"
          class="mb-3 flex gap-1"
          role="group"
          aria-label="How to show it"
        >
          <button
            class="btn h-7"
            :class="asWritten ? '' : 'border-kelp text-kelp'"
            type="button"
            :aria-pressed="!asWritten"
            @click="asWritten = false"
          >
            Text
          </button>
          <button
            class="btn h-7"
            :class="asWritten ? 'border-kelp text-kelp' : ''"
            type="button"
            :aria-pressed="asWritten"
            data-test="as-written"
            @click="asWritten = true"
          >
            As written
          </button>
        </div>
        <HtmlBody v-if="message.hasHtml && asWritten" :message-id="message.id" />
        <template v-else>
          <MessageText :text="message.ownWords" :marks="message.reading.marks" />
          <details v-if="message.carried" class="text-ink-soft mt-4">
            <summary class="hover:text-kelp w-max cursor-pointer">
              Quoted text and signature
            </summary>
            <MessageText class="border-line mt-2 border-l-2 pl-3" :text="message.carried" />
          </details>
        </template>
      </template>
      <img
        v-for="picture in pictures"
        :key="picture.index"
        class="border-line mt-3 max-h-96 max-w-full rounded border"
        :src="`/api/messages/${message.id}/files/${picture.index}?view=true`"
        :alt="picture.name"
        loading="lazy"
        data-test="chat-picture"
      />
      <Signs v-if="itself && message.channel === 'CHAT'" class="mt-2" :message="itself" />
      <ul v-if="message.files.length" class="mt-4 flex flex-wrap gap-2" aria-label="Files">
        <li v-for="file in message.files" :key="file.index" class="flex">
          <FileChip
            v-if="message.hasSource || message.channel === 'CHAT'"
            :file="{ ...file, address: `/api/messages/${message.id}/files/${file.index}` }"
          />
          <span v-else class="part"
            ><Paperclip :size="15" aria-hidden="true" />{{ file.name }}
            <span class="text-ink-soft">is not here</span></span
          >
        </li>
      </ul>
      <details
        v-if="earlier.length"
        class="border-line mt-6 border-t pt-2"
        :open="message.channel === 'CHAT'"
      >
        <summary class="hover:text-kelp text-ink-soft w-max cursor-pointer">
          Earlier in this thread ({{ earlier.length }})
        </summary>
        <ThreadMessages class="-mx-4" :messages="earlier" />
      </details>
      <details v-if="later.length" class="border-line mt-6 border-t pt-2" open>
        <summary class="hover:text-kelp text-ink-soft w-max cursor-pointer">
          Written since ({{ later.length }})
        </summary>
        <ThreadMessages class="-mx-4" :messages="later" />
      </details>
      <p v-if="message.hasSource" class="mt-5">
        <a
          class="text-ink-soft hover:text-kelp inline-flex items-center gap-1"
          :href="`/api/messages/${message.id}/source`"
          ><Download :size="14" aria-hidden="true" /> Save as .eml</a
        >
      </p>
    </div>
  </article>
</template>
