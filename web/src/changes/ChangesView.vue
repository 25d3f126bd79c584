<script setup lang="ts">
import { ChevronLeft, ChevronRight } from '@lucide/vue'
import { computed, reactive } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { undo } from '@/api/commands'
import { useChanges } from '@/api/queries'
import view from '@/changes/view'
import { useKeys } from '@/ui/keys'
import Loading from '@/ui/Loading.vue'
import Note from '@/ui/Note.vue'
import { day as dayText, moment, shiftDay, today } from '@/ui/time'

const route = useRoute()
const router = useRouter()
const asked = computed(() =>
  typeof route.params.day === 'string' && route.params.day ? route.params.day : undefined,
)
const changes = useChanges(asked)
const day = computed(() => changes.data.value?.day ?? asked.value ?? today())
const isToday = computed(() => day.value >= today())
const title = computed(() => (isToday.value ? 'today' : `on ${dayText(day.value)}`))
const byHand = computed(() => changes.data.value?.changes.filter((each) => each.mine).length ?? 0)

/** Why a change could not be taken back, by its command. */
const reasons = reactive(new Map<string, string>())

async function takeBack(commandId: string): Promise<void> {
  reasons.delete(commandId)
  const reason = await undo(commandId, 'said by the caller')
  if (reason) {
    reasons.set(commandId, reason)
  }
}

function go(days: number): void {
  if (days < 0 || !isToday.value) {
    const target = shiftDay(day.value, days)
    void router.push({ name: 'changes', params: { day: target >= today() ? '' : target } })
  }
}

function clock(at: string): string {
  return moment(at).split(', ').at(-1) ?? ''
}

useKeys(view.name, [
  {
    ...view.keys.earlier,
    run: () => {
      go(-1)
    },
  },
  {
    ...view.keys.later,
    run: () => {
      go(1)
    },
  },
])
</script>

<template>
  <div class="h-full overflow-auto px-3 py-2 sm:px-6">
    <div class="mx-auto max-w-3xl">
      <div class="flex flex-wrap items-center gap-x-3 gap-y-1">
        <h1 class="text-lg font-semibold">What I did {{ title }}</h1>
        <p v-if="changes.data.value" class="text-ink-soft">
          {{ byHand === 1 ? '1 change' : `${byHand} changes` }}
        </p>
        <span class="ml-auto flex gap-1">
          <button class="btn px-2 max-sm:h-11" type="button" data-test="earlier" @click="go(-1)">
            <ChevronLeft :size="16" aria-hidden="true" /> The day before
          </button>
          <button
            class="btn px-2 max-sm:h-11"
            type="button"
            :disabled="isToday"
            data-test="later"
            @click="go(1)"
          >
            The day after <ChevronRight :size="16" aria-hidden="true" />
          </button>
        </span>
      </div>
      <Loading v-if="changes.isPending.value" />
      <Note v-else-if="changes.isError.value" title="The changes could not be loaded" problem>
        <p>{{ changes.error.value?.message }}</p>
        <button class="btn" type="button" @click="void changes.refetch()">Try again</button>
      </Note>
      <Note v-else-if="changes.data.value?.changes.length === 0" :title="`Nothing ${title}`">
        <p>Every change stands here on its day, with a way back: decisions, answers, settings.</p>
      </Note>
      <ul v-else class="mt-2" data-test="changes">
        <li
          v-for="change in changes.data.value?.changes"
          :key="change.commandId"
          class="border-line grid min-h-9 grid-cols-[52px_1fr_auto] items-center gap-x-3 border-b py-1"
          data-test="change"
        >
          <span class="text-ink-soft">{{ clock(change.at) }}</span>
          <span class="min-w-0 wrap-anywhere">
            <span :class="change.undone ? 'text-ink-soft line-through' : ''">{{
              change.label
            }}</span>
            <span v-if="!change.mine" class="text-ink-soft"> by itself</span>
          </span>
          <span v-if="change.undone" class="text-ink-soft">taken back</span>
          <button
            v-else
            class="btn btn-quiet px-2 max-sm:h-11"
            type="button"
            :aria-label="`Undo: ${change.label}`"
            @click="void takeBack(change.commandId)"
          >
            Undo
          </button>
          <p
            v-if="reasons.get(change.commandId)"
            class="text-rust col-span-2 col-start-2"
            role="alert"
          >
            {{ reasons.get(change.commandId) }}
          </p>
        </li>
      </ul>
    </div>
  </div>
</template>
