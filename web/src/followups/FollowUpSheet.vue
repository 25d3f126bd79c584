<script setup lang="ts">
import { Check, CornerUpLeft } from '@lucide/vue'
import { computed, ref, watch } from 'vue'
import type { FollowUpLine } from '@/api/client'
import { useFollowUp } from '@/api/followUpQueries'
import { useCategories, useIntake, useThread } from '@/api/queries'
import { change, repeat, setState } from '@/followups/changes'
import AttachedPart from '@/followups/attached/AttachedPart.vue'
import DetailsParts from '@/followups/details/DetailsParts.vue'
import { useDetails } from '@/followups/details/useDetails'
import RemindPart from '@/followups/details/RemindPart.vue'
import RepeatPart from '@/followups/details/RepeatPart.vue'
import WaitPart from '@/followups/details/WaitPart.vue'
import SnapshotText from '@/followups/SnapshotText.vue'
import { isLate, STANDING_CLASS } from '@/followups/standing'
import { comeText, NOTHING, waitFor } from '@/followups/waiting'
import ThreadMessages from '@/message/ThreadMessages.vue'
import CategoryControl from '@/ui/CategoryControl.vue'
import EffortControl from '@/ui/EffortControl.vue'
import { useKeys } from '@/ui/keys'
import History from '@/ui/History.vue'
import Loading from '@/ui/Loading.vue'
import Note from '@/ui/Note.vue'
import PersonName from '@/ui/PersonName.vue'
import ReplyByControl from '@/ui/ReplyByControl.vue'
import Sheet from '@/ui/Sheet.vue'
import { moment } from '@/ui/time'

const { id } = defineProps<{ id: string }>()
const emit = defineEmits<{ close: [] }>()
const followUp = useFollowUp(() => id)
const categories = useCategories()
const intake = useIntake()
const line = computed(() => followUp.data.value?.line)
const origin = computed(() => followUp.data.value?.messages[0])
const thread = useThread(() => origin.value?.threadId)

const title = ref('')
watch(
  line,
  (now) => {
    title.value = now?.title ?? ''
  },
  { immediate: true },
)

function saveTitle(): void {
  if (line.value && title.value.trim() !== '' && title.value !== line.value.title) {
    save({ title: title.value })
  }
}

/** What is changed of one that comes back is changed in this one alone, unless that is said. */
const following = ref(false)

function save(changed: Parameters<typeof change>[1]): void {
  if (line.value) {
    void change(line.value, changed, following.value)
  }
}

function setRhythm(words: string): void {
  if (line.value) {
    void repeat(line.value, words)
  }
}

function end(state: 'DONE' | 'DROPPED' | 'OPEN'): void {
  if (line.value) {
    void setState(line.value, state)
  }
}

useKeys('Follow-up sheet', [
  {
    key: 'd',
    does: 'Done',
    run: () => {
      end('DONE')
    },
    when: () => line.value?.state === 'OPEN',
  },
])
const { details, change: changeDetails } = useDetails({
  id: () => id,
  stored: () =>
    followUp.data.value && {
      startDay: followUp.data.value.line.startDay,
      place: followUp.data.value.line.place,
      people: followUp.data.value.line.people,
      checklist: followUp.data.value.checklist,
      note: followUp.data.value.note,
    },
  save: async (now) =>
    line.value !== undefined &&
    (await change(line.value, { details: now }, following.value)) !== undefined,
})
function priorityOf(event: Event): FollowUpLine['priority'] {
  return (event.target as HTMLSelectElement).value as FollowUpLine['priority']
}

const SHOWN = [
  { shown: 'then', label: 'As it was then' },
  { shown: 'thread', label: 'Thread now' },
  { shown: 'both', label: 'Side by side' },
] as const
const shown = ref<(typeof SHOWN)[number]['shown']>('then')
const fresh = computed(() => {
  const since = origin.value?.linkedAt
  return since === undefined
    ? 0
    : (thread.data.value?.messages ?? []).filter((message) => message.sentAt > since).length
})
const TAB = 'border-b-2 px-1 h-8'
</script>

<template>
  <Sheet title="Follow-up" :wide="shown === 'both'" @close="emit('close')">
    <Loading v-if="followUp.isPending.value" />
    <Note v-else-if="followUp.isError.value" title="This follow-up could not be loaded" problem>
      <p>{{ followUp.error.value?.message }}</p>
    </Note>
    <template v-else-if="line && followUp.data.value">
      <div class="border-line space-y-2 border-b px-4 py-3" data-test="sheet-sentence">
        <label class="block">
          <span class="sr-only">What is to be done</span>
          <input
            v-model="title"
            class="field font-semibold"
            maxlength="300"
            @change="saveTitle"
            @keydown.enter="saveTitle"
          />
        </label>
        <div class="flex flex-wrap items-center gap-x-1.5 gap-y-2">
          <span>reply by</span>
          <ReplyByControl
            :day="line.replyDay"
            :time="line.replyTime"
            :firm="line.firm"
            :choices="intake.data.value?.quickChoices ?? []"
            @update:day="
              (replyDay) => {
                save({ replyDay })
              }
            "
            @update:time="
              (replyTime) => {
                save({ replyTime })
              }
            "
            @update:firm="
              (firm) => {
                save({ firm })
              }
            "
          />
          <span v-if="isLate(line) && line.state === 'OPEN'" :class="STANDING_CLASS[line.standing]"
            >late</span
          >
          <span>· in</span>
          <CategoryControl
            :model-value="line.categoryId"
            :categories="categories.data.value ?? []"
            @update:model-value="
              (categoryId) => {
                save({ categoryId })
              }
            "
          />
          <span>· about</span>
          <EffortControl
            :model-value="line.effortMinutes"
            @update:model-value="
              (effortMinutes) => {
                save({ effortMinutes })
              }
            "
          />
          <label class="inline-flex items-center gap-1.5 whitespace-nowrap"
            ><span>· priority</span>
            <select
              class="field h-8 max-sm:h-11"
              :value="line.priority"
              data-test="priority"
              @change="
                (event) => {
                  save({ priority: priorityOf(event) })
                }
              "
            >
              <option value="HIGH">high</option>
              <option value="NORMAL">normal</option>
              <option value="LOW">low</option>
            </select>
          </label>
        </div>
        <DetailsParts
          v-if="details"
          :model-value="details"
          :choices="intake.data.value?.quickChoices ?? []"
          @update:model-value="changeDetails"
        >
          <template v-if="line.state === 'OPEN'">
            <RepeatPart
              :model-value="followUp.data.value.repeats ?? ''"
              data-test="sheet-rhythm"
              @update:model-value="setRhythm"
            />
            <WaitPart :line="line" />
            <RemindPart :follow-up-id="id" :dated="line.replyDay !== null" />
          </template>
        </DetailsParts>
        <AttachedPart :id="id" />
        <label
          v-if="line.repeats && line.state === 'OPEN'"
          class="text-ink-soft flex items-center gap-1.5"
        >
          <input v-model="following" type="checkbox" data-test="following" />
          what I change here counts for those that follow too
        </label>
        <p v-if="line.back && line.waiting && line.state === 'OPEN'" class="text-brass-ink">
          It is back on top: {{ comeText(line.waiting) }}
          <button
            class="btn ml-2 h-7"
            type="button"
            data-test="seen"
            @click="void waitFor(line, NOTHING)"
          >
            I have seen it
          </button>
        </p>
        <p v-if="line.answerSeen && line.state === 'OPEN'" class="text-brass-ink">
          Your answer in this thread was seen. Is it done?
          <button class="btn ml-2 h-7" type="button" data-test="not-yet" @click="save({})">
            Not yet
          </button>
        </p>
        <div class="flex flex-wrap items-center gap-2 pt-1">
          <template v-if="line.state === 'OPEN'">
            <button class="btn btn-main" type="button" data-test="sheet-done" @click="end('DONE')">
              <Check :size="15" aria-hidden="true" /> Done <span class="key">D</span>
            </button>
            <button class="btn" type="button" data-test="sheet-drop" @click="end('DROPPED')">
              {{ line.repeats ? 'Skip this one' : 'Drop' }}
            </button>
            <label
              v-if="origin"
              class="flex items-center gap-1.5"
              title="It is done by itself once your answer is seen, wherever you write it"
            >
              <input
                type="checkbox"
                :checked="line.forReply"
                data-test="sheet-for-reply"
                @change="save({ forReply: !line.forReply })"
              />
              ends when I answer
            </label>
          </template>
          <template v-else>
            <span
              >{{ line.state === 'DONE' ? 'Done' : 'Dropped' }} on
              {{ line.endedAt ? moment(line.endedAt) : '' }}</span
            >
            <button class="btn" type="button" @click="end('OPEN')">Open again</button>
          </template>
          <RouterLink
            v-if="origin"
            class="btn ml-auto"
            :to="`/threads/${origin.threadId}?message=${origin.messageId}`"
            data-test="way-back"
          >
            <CornerUpLeft :size="15" aria-hidden="true" /> Go to the message
          </RouterLink>
        </div>
      </div>

      <div v-if="origin">
        <div
          class="border-line flex flex-wrap items-center gap-4 border-b px-4"
          role="group"
          aria-label="The source"
        >
          <button
            v-for="way in SHOWN"
            :key="way.shown"
            type="button"
            :aria-pressed="shown === way.shown"
            :data-test="`show-${way.shown}`"
            :class="[
              TAB,
              way.shown === 'both' ? 'max-md:hidden' : '',
              shown === way.shown ? 'border-kelp text-kelp font-semibold' : 'border-transparent',
            ]"
            @click="shown = way.shown"
          >
            {{ way.label }}
          </button>
          <span v-if="fresh" class="text-brass-ink text-sm" data-test="fresh"
            >{{ fresh }} new in the thread since then</span
          >
        </div>
        <div :class="shown === 'both' ? 'divide-line grid grid-cols-2 divide-x' : ''">
          <div v-if="shown !== 'thread'" class="px-4 py-3">
            <article
              v-for="link in followUp.data.value.messages"
              :key="link.messageId"
              class="mb-4"
              data-test="snapshot"
            >
              <p class="text-ink-soft mb-2">
                <b class="text-ink"
                  ><PersonName
                    :name="link.snapshot.from.name"
                    :address="link.snapshot.from.address"
                /></b>
                · {{ moment(link.snapshot.sentAt) }} · {{ link.snapshot.subject }}
              </p>
              <SnapshotText
                :then="link.snapshot.text"
                :now="link.textNow"
                :sentence="link.sentence"
              />
              <p v-if="link.removedNow && link.snapshot.files.length" class="text-ink-soft mt-2">
                Files that came with it: {{ link.snapshot.files.join(', ') }}
              </p>
              <p class="text-ink-soft mt-3 text-sm">
                Kept as it stood on {{ moment(link.linkedAt) }}.
                <template v-if="link.removedNow">Its writer has taken it back since.</template>
                <template v-else-if="link.textNow !== null"
                  >Its writer has changed it since: marked above.</template
                >
              </p>
            </article>
          </div>
          <div v-if="shown !== 'then'">
            <ThreadMessages
              v-if="thread.data.value"
              :messages="thread.data.value.messages"
              :pointed="origin.messageId"
              :since="origin.linkedAt"
            />
            <Loading v-else />
          </div>
        </div>
      </div>
      <History :subject-id="id" />
    </template>
  </Sheet>
</template>
