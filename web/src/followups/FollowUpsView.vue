<script setup lang="ts">
import { computed, nextTick, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useCategories, useFollowUps } from '@/api/queries'
import { setState } from '@/followups/changes'
import FollowUpRow from '@/followups/FollowUpRow.vue'
import FollowUpSheet from '@/followups/FollowUpSheet.vue'
import { byCategory } from '@/followups/standing'
import view from '@/followups/view'
import CategoryMark from '@/ui/CategoryMark.vue'
import { useKeys } from '@/ui/keys'
import Loading from '@/ui/Loading.vue'
import Note from '@/ui/Note.vue'

const route = useRoute()
const router = useRouter()
const followUps = useFollowUps()
const categories = useCategories()
const groups = computed(() =>
  byCategory(followUps.data.value?.open ?? [], categories.data.value ?? []),
)
const ordered = computed(() => groups.value.flatMap((group) => group.lines))
const ended = computed(() => followUps.data.value?.ended ?? [])
const later = computed(() => followUps.data.value?.later ?? [])
const late = computed(() => ordered.value.filter((line) => line.standing === 'LATE_FIRM').length)
const openId = computed(() =>
  typeof route.params.id === 'string' && route.params.id ? route.params.id : undefined,
)
const cursor = ref(-1)

function open(id: string): void {
  void router.push({ name: 'follow-ups', params: { id } })
}

function closeSheet(): void {
  void router.push({ name: 'follow-ups', params: { id: '' } })
}

function step(by: number): void {
  const focused =
    document.activeElement instanceof HTMLElement
      ? document.activeElement.dataset.followUp
      : undefined
  const place = focused ? ordered.value.findIndex((line) => line.id === focused) : cursor.value
  cursor.value = Math.min(Math.max(place + by, 0), ordered.value.length - 1)
  focusCursor()
}

function focusCursor(): void {
  const line = ordered.value[Math.min(cursor.value, ordered.value.length - 1)]
  if (line) {
    document.querySelector<HTMLElement>(`[data-follow-up="${line.id}"]`)?.focus()
  }
}

async function doneAtCursor(): Promise<void> {
  const focused =
    document.activeElement instanceof HTMLElement
      ? document.activeElement.dataset.followUp
      : undefined
  const line = ordered.value.find((each) => each.id === focused)
  if (line) {
    cursor.value = ordered.value.indexOf(line)
    await setState(line, 'DONE')
    await nextTick(focusCursor)
  }
}

const listed = () => !openId.value
useKeys(view.name, [
  {
    ...view.keys.next,
    run: () => {
      step(1)
    },
    when: listed,
  },
  {
    ...view.keys.before,
    run: () => {
      step(-1)
    },
    when: listed,
  },
  { ...view.keys.done, run: () => void doneAtCursor(), when: listed },
])
</script>

<template>
  <div class="relative h-full overflow-auto px-3 py-2 sm:px-6">
    <div class="mx-auto max-w-5xl">
      <div class="flex flex-wrap items-baseline gap-x-4">
        <h1 class="text-lg font-semibold">Follow-ups</h1>
        <p v-if="followUps.data.value" class="text-ink-soft">
          {{ ordered.length }} open ·
          <span :class="late ? 'text-rust font-semibold' : ''">{{ late }} late</span> ·
          {{ followUps.data.value.undated }} without a date
        </p>
      </div>
      <Loading v-if="followUps.isPending.value" />
      <Note v-else-if="followUps.isError.value" title="Follow-ups could not be loaded" problem>
        <p>{{ followUps.error.value?.message }}</p>
        <button class="btn" type="button" @click="void followUps.refetch()">Try again</button>
      </Note>
      <Note
        v-else-if="ordered.length + later.length + ended.length === 0"
        title="Nothing to follow up"
      >
        <p>What you decide to follow up in Intake appears here, by category and date.</p>
        <RouterLink class="btn btn-main" to="/intake">Go to Intake</RouterLink>
      </Note>
      <template v-else>
        <section
          v-for="group in groups"
          :key="group.category?.id ?? 'none'"
          class="mt-2"
          :aria-label="group.category?.name ?? 'no category'"
        >
          <h2 class="flex h-7 items-center gap-2 font-semibold">
            <CategoryMark :category="group.category" with-name />
            <span class="text-ink-soft font-normal">{{ group.lines.length }}</span>
          </h2>
          <ul class="bg-surface border-line rounded border">
            <FollowUpRow
              v-for="line in group.lines"
              :key="line.id"
              :line="line"
              @open="open(line.id)"
              @done="void setState(line, 'DONE')"
            />
          </ul>
        </section>
        <details v-if="later.length" class="mt-4">
          <summary class="hover:text-kelp h-7 w-max cursor-pointer font-semibold">
            Put off, out of sight until their day
            <span class="text-ink-soft font-normal">{{ later.length }}</span>
          </summary>
          <ul class="bg-surface border-line rounded border" data-test="later">
            <FollowUpRow
              v-for="line in later"
              :key="line.id"
              :line="line"
              @open="open(line.id)"
              @done="void setState(line, 'DONE')"
            />
          </ul>
        </details>
        <details v-if="ended.length" class="mt-4" open>
          <summary class="hover:text-kelp h-7 w-max cursor-pointer font-semibold">
            Ended in the last seven days
            <span class="text-ink-soft font-normal">{{ ended.length }}</span>
          </summary>
          <ul class="bg-surface border-line rounded border" data-test="ended">
            <FollowUpRow
              v-for="line in ended"
              :key="line.id"
              :line="line"
              @open="open(line.id)"
              @done="void setState(line, 'OPEN')"
            />
          </ul>
        </details>
      </template>
    </div>
    <FollowUpSheet v-if="openId" :id="openId" :key="openId" @close="closeSheet" />
  </div>
</template>
