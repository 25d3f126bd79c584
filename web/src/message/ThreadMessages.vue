<script setup lang="ts">
import { computed, nextTick, onMounted, ref, useTemplateRef, watch } from 'vue'
import type { ThreadMessage } from '@/api/client'
import FileChip from '@/files/FileChip.vue'
import MessageText from '@/message/MessageText.vue'
import Signs from '@/message/Signs.vue'
import PersonName from '@/ui/PersonName.vue'
import { moment } from '@/ui/time'

/** The messages of a thread in the order sent; one of them can be pointed at. */
const {
  messages,
  pointed,
  newest,
  since,
  newWords = 'new since then',
  fold,
} = defineProps<{
  messages: readonly ThreadMessage[]
  pointed?: string | undefined
  newest?: boolean
  /** What others wrote after this moment is marked as new. */
  since?: string | undefined
  newWords?: string
  /** Whether what was dealt with before that moment is folded away, where it is much. */
  fold?: boolean
}>()
defineSlots<{ beside?(props: { message: ThreadMessage; place: number }): unknown }>()
const list = useTemplateRef<HTMLElement>('list')

/** Shows the message that is pointed at; in a thread opened as a whole, the newest one. */
function showPointed(): void {
  void nextTick(() => {
    const target = pointed
      ? list.value?.querySelector('[data-pointed="true"]')
      : newest
        ? list.value?.lastElementChild
        : undefined
    target?.scrollIntoView({ block: pointed ? 'center' : 'end' })
  })
}
onMounted(showPointed)
watch(() => pointed, showPointed)

/** Folding fewer would save nothing. */
const FEWEST_FOLDED = 3
/** The last of what was dealt with stays in sight: what is new answers it. */
const STAY = 2
const unfolded = ref(false)
const folded = computed(() => {
  const moment = since
  if (!fold || unfolded.value || moment === undefined) {
    return new Set<string>()
  }
  const dealtWith = messages.filter((message) => message.sentAt <= moment)
  const away = dealtWith.slice(0, -STAY).filter((message) => message.id !== pointed)
  return new Set(away.length >= FEWEST_FOLDED ? away.map((message) => message.id) : [])
})

const byId = computed(() => new Map(messages.map((message) => [message.id, message])))

/** What a message replies to, where that is not the one right before it. */
function repliesTo(message: ThreadMessage, place: number): ThreadMessage | undefined {
  const answered = message.answersId ? byId.value.get(message.answersId) : undefined
  return answered && answered !== messages[place - 1] ? answered : undefined
}

function writer(message: ThreadMessage): string {
  return message.direction === 'OUTGOING' ? 'Me' : message.from.name || message.from.address
}

const NATURES: Record<string, string> = {
  AUTO_REPLY: 'automatic reply',
  BOUNCE: 'could not be delivered',
  BULK: 'automatic',
  INVITATION: 'invitation',
}
</script>

<template>
  <ol ref="list" class="divide-line divide-y">
    <li v-if="folded.size > 0" class="px-4 py-2 print:hidden">
      <button
        class="text-ink-soft hover:text-kelp underline max-sm:py-2"
        type="button"
        data-test="unfold-messages"
        @click="unfolded = true"
      >
        {{ folded.size }} earlier messages, dealt with
      </button>
    </li>
    <li
      v-for="(message, place) in messages"
      v-show="!folded.has(message.id)"
      :key="message.id"
      class="px-4 py-3"
      :class="message.id === pointed ? 'bg-brass-wash' : ''"
      :data-pointed="message.id === pointed"
      data-test="thread-message"
    >
      <p class="mb-1 flex flex-wrap items-baseline gap-x-2">
        <b :class="message.direction === 'OUTGOING' ? 'text-kelp' : ''"
          ><PersonName
            v-if="message.direction === 'INCOMING'"
            :name="message.from.name"
            :address="message.from.address"
          /><template v-else>Me</template></b
        >
        <span class="text-ink-soft text-sm"
          >{{ moment(message.sentAt)
          }}<template v-if="NATURES[message.nature]"> · {{ NATURES[message.nature] }}</template
          ><template v-if="message.edited"> · edited</template></span
        >
        <span
          v-if="since && message.sentAt > since && message.direction === 'INCOMING'"
          class="text-brass-ink text-sm"
          data-test="new-since"
          >{{ newWords }}</span
        >
        <slot name="beside" :message="message" :place="place" />
        <RouterLink
          class="text-ink-soft hover:text-kelp text-sm"
          :class="$slots.beside && place > 0 ? '' : 'ml-auto'"
          :to="`/intake/${message.id}`"
        >
          Open message
        </RouterLink>
      </p>
      <p
        v-if="repliesTo(message, place)"
        class="text-ink-soft border-line-strong mb-1 truncate border-l-2 pl-2 text-sm"
        data-test="replies-to"
      >
        replies to <bdi>{{ writer(repliesTo(message, place)!) }}</bdi>:
        <bdi>{{ repliesTo(message, place)!.ownWords }}</bdi>
      </p>
      <p v-if="message.removed" class="text-ink-soft">Taken back by its writer.</p>
      <MessageText v-else :text="message.ownWords" />
      <p v-if="message.files.length" class="mt-1 flex flex-wrap gap-1.5">
        <FileChip
          v-for="file in message.files"
          :key="file.index"
          :file="{ ...file, address: `/api/messages/${message.id}/files/${file.index}` }"
        />
      </p>
      <Signs :message="message" />
    </li>
  </ol>
</template>
