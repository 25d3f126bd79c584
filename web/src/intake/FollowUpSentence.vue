<script setup lang="ts">
import { computed, nextTick, onMounted, ref, useTemplateRef, watch } from 'vue'
import type {
  CategoryView,
  Details,
  FollowUpRequest,
  MessageView,
  NewFollowUp,
  QuickChoice,
} from '@/api/client'
import DetailsParts from '@/followups/details/DetailsParts.vue'
import RepeatPart from '@/followups/details/RepeatPart.vue'
import { madeOf, rowsOf, type AskRow } from '@/intake/asks'
import EachAsk from '@/intake/EachAsk.vue'
import CategoryControl from '@/ui/CategoryControl.vue'
import EffortControl from '@/ui/EffortControl.vue'
import { choiceOf, numbered } from '@/ui/dayChoices'
import { isCommandKey } from '@/ui/keys'
import { followLetter } from '@/ui/letters'
import ReplyByControl from '@/ui/ReplyByControl.vue'

/**
 * A follow-up on offer as a sentence to correct; Enter accepts it as it stands, a letter leads to each part. Of a message
 * that asks several things, one follow-up each can be made in one go.
 */
const { message, categories, choices } = defineProps<{
  message: MessageView
  categories: readonly CategoryView[]
  choices: readonly QuickChoice[]
}>()
const emit = defineEmits<{
  accept: [content: FollowUpRequest]
  acceptEach: [followUps: NewFollowUp[]]
  remember: [days: number]
  cancel: []
}>()

const title = ref(message.proposal.title)
const replyDay = ref<string | null>(message.proposal.replyBy)
const replyTime = ref<string | null>(message.proposal.replyTime)
const firm = ref(message.proposal.firm)
const categoryId = ref<string | null>(message.proposal.categoryId)
const effortMinutes = ref<number | null>(message.proposal.effortMinutes)
const priority = ref(message.proposal.priority)
const forReply = ref(message.proposal.forReply)
const details = ref<Details>({
  startDay: null,
  place: '',
  people: message.proposal.people,
  checklist: [],
  note: '',
})
const repeats = ref('')
const each = ref(false)
const rows = ref(rowsOf(message.proposals))
const wanted = computed(() => madeOf(rows.value, shared()).length)
const one = (): AskRow => ({
  wanted: true,
  sentence: '',
  title: title.value,
  replyDay: replyDay.value,
  replyTime: replyTime.value,
  firm: firm.value,
  forReply: forReply.value,
})
const form = useTemplateRef<HTMLFormElement>('form')
const accepting = useTemplateRef<HTMLButtonElement>('accepting')
const reason = computed(() =>
  replyDay.value === message.proposal.replyBy ? `because ${message.proposal.replyByReason}` : '',
)
const PRIORITY_WORDS = { HIGH: 'high priority', NORMAL: 'normal priority', LOW: 'low priority' }
const NEXT_PRIORITY = { HIGH: 'LOW', NORMAL: 'HIGH', LOW: 'NORMAL' } as const
const priorityReason = computed(() => {
  if (priority.value !== message.proposal.priority) {
    return ''
  }
  return { HIGH: 'since it says it is urgent', NORMAL: '', LOW: 'since it says no rush' }[
    priority.value
  ]
})
const sender = computed(() =>
  message.reading.list ? message.reading.party : message.from.name || message.from.address,
)

function shared() {
  return {
    categoryId: categoryId.value,
    effortMinutes: effortMinutes.value,
    priority: priority.value,
    details: details.value,
  }
}

const offered = computed(() => numbered(choices, ''))

onMounted(() => accepting.value?.focus())

/** After a choice Enter accepts again, instead of opening the same list once more; also where it changed nothing. */
async function toAccepting(): Promise<void> {
  await nextTick()
  setTimeout(() => {
    const inPanel = document.activeElement?.closest('[data-keys="own"]')
    if (!inPanel && form.value) {
      accepting.value?.focus()
    }
  })
}
watch([forReply, firm, each, priority], toAccepting)

/** A digit takes the day that it means in every control, without one being opened. */
function takeDay(event: KeyboardEvent): boolean {
  const choice = isCommandKey(event) ? choiceOf(event.key, offered.value) : undefined
  const day = offered.value.find((each) => each.number === choice)?.day
  if (each.value || day === undefined) {
    return false
  }
  event.preventDefault()
  event.stopPropagation()
  replyDay.value = day
  void toAccepting()
  return true
}

function onKey(event: KeyboardEvent): void {
  if (form.value && !takeDay(event)) {
    followLetter(event, form.value)
  }
}

function accept(): void {
  if (each.value) {
    const made = madeOf(rows.value, shared(), repeats.value)
    if (made.length > 0) {
      emit('acceptEach', made)
    }
  } else if (title.value.trim() !== '' && repeats.value !== '') {
    emit('acceptEach', madeOf([one()], shared(), repeats.value))
  } else if (title.value.trim() !== '') {
    emit('accept', {
      title: title.value,
      replyDay: replyDay.value,
      replyTime: replyTime.value,
      firm: firm.value,
      forReply: forReply.value,
      ...shared(),
    })
  }
}
</script>

<template>
  <form
    ref="form"
    class="space-y-2"
    data-test="sentence"
    @submit.prevent="accept"
    @keydown.esc="emit('cancel')"
    @keydown="onKey"
  >
    <button
      v-if="rows.length > 1"
      type="button"
      class="text-kelp flex items-center gap-2 hover:underline"
      data-letter="e"
      data-test="each"
      @click="each = !each"
    >
      {{
        each
          ? 'One follow-up for the whole message'
          : `It asks ${rows.length} things: one follow-up each`
      }}
      <span class="key">E</span>
    </button>
    <EachAsk v-if="each" v-model="rows" :choices="choices" />
    <label v-else class="flex items-center gap-2">
      <span class="sr-only">What is to be done</span>
      <input
        v-model="title"
        class="field text-[15px] font-semibold"
        maxlength="300"
        required
        data-letter="t"
        data-test="title"
      />
      <span class="key max-sm:hidden">T</span>
    </label>
    <div class="flex flex-wrap items-center gap-x-1.5 gap-y-2">
      <template v-if="!each">
        <span>reply by</span>
        <ReplyByControl
          v-model:day="replyDay"
          v-model:time="replyTime"
          v-model:firm="firm"
          :choices="choices"
          :sender="sender"
          letter="r"
          @remember="(days) => emit('remember', days)"
          @chosen="void toAccepting()"
        />
        <span
          v-if="offered.length"
          class="key max-sm:hidden"
          title="A digit takes a day at once: the same one as in the list behind the date"
          >1–{{ offered.length }}</span
        >
        <span v-if="reason" class="text-ink-soft" data-test="reply-by-reason">{{ reason }}</span>
        <span>·</span>
      </template>
      <span>in</span>
      <CategoryControl
        v-model="categoryId"
        :categories="categories"
        above
        letter="c"
        @update:model-value="void toAccepting()"
      />
      <span
        v-if="message.proposal.categoryReason && categoryId === message.proposal.categoryId"
        class="text-ink-soft"
        >{{ message.proposal.categoryReason }}</span
      >
      <span>· about</span>
      <EffortControl
        v-model="effortMinutes"
        above
        letter="m"
        @update:model-value="void toAccepting()"
      />
    </div>
    <div class="flex flex-wrap items-end gap-x-3 gap-y-2">
      <DetailsParts
        v-model="details"
        :choices="choices"
        :people="[message.from, ...message.to, ...message.cc]"
        above
        letters
        class="min-w-0 basis-full sm:flex-1"
      >
        <button
          type="button"
          class="part"
          title="High, normal or low"
          data-test="priority"
          data-letter="i"
          @click="priority = NEXT_PRIORITY[priority]"
        >
          <span :class="priority === 'HIGH' ? 'font-semibold' : ''">{{
            PRIORITY_WORDS[priority]
          }}</span>
          <span class="key">I</span>
        </button>
        <span v-if="priorityReason" class="text-ink-soft" data-test="priority-reason">{{
          priorityReason
        }}</span>
        <button
          v-if="!each"
          type="button"
          class="part"
          :aria-pressed="forReply"
          :title="
            forReply
              ? 'It is done by itself once your answer is seen, wherever you write it'
              : 'It stays open when you answer, until you say it is done'
          "
          data-test="for-reply"
          data-letter="u"
          @click="forReply = !forReply"
        >
          {{ forReply ? 'until I answer' : 'until I tick it off' }} <span class="key">U</span>
        </button>
        <RepeatPart v-model="repeats" above letter="b" @update:model-value="void toAccepting()" />
      </DetailsParts>
      <span class="ml-auto flex gap-2">
        <button class="btn btn-quiet" type="button" @click="emit('cancel')">
          Cancel <span class="key">Esc</span>
        </button>
        <button
          ref="accepting"
          class="btn btn-main"
          type="submit"
          :disabled="each && wanted === 0"
          data-test="accept"
        >
          {{ each ? `Make ${wanted} follow-ups` : 'Make follow-up' }} <span class="key">Enter</span>
        </button>
      </span>
    </div>
  </form>
</template>
