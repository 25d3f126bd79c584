<script setup lang="ts">
import { useMediaQuery } from '@vueuse/core'
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import type { FollowUpLine } from '@/api/client'
import { useCategories, useFollowUps } from '@/api/queries'
import { setState } from '@/followups/changes'
import FollowUpRow from '@/followups/FollowUpRow.vue'
import FollowUpSheet from '@/followups/FollowUpSheet.vue'
import { bySpan, isLate } from '@/followups/standing'
import view from '@/followups/view'
import { useKeys } from '@/ui/keys'
import Loading from '@/ui/Loading.vue'
import Note from '@/ui/Note.vue'
import RowList from '@/ui/RowList.vue'

const route = useRoute()
const router = useRouter()
const followUps = useFollowUps()
const categories = useCategories()
const wide = useMediaQuery('(min-width: 640px)')
const open = computed(() => followUps.data.value?.open ?? [])
const later = computed(() => followUps.data.value?.later ?? [])
const waiting = computed(() => followUps.data.value?.waiting ?? [])
const ended = computed(() => followUps.data.value?.ended ?? [])
const late = computed(() => open.value.filter(isLate).length)
const withLater = ref(false)
const withWaiting = ref(false)
const withEnded = ref(true)
const groups = computed(() =>
  bySpan(
    open.value,
    [
      { title: 'Waiting', lines: withWaiting.value ? waiting.value : [] },
      { title: 'Put off until a later day', lines: withLater.value ? later.value : [] },
      { title: 'Ended in the last seven days', lines: withEnded.value ? ended.value : [] },
    ],
    wide.value ? 32 : 52,
  ),
)
const rows = computed(() => groups.value.flatMap((group) => group.rows))
const openId = computed(() =>
  typeof route.params.id === 'string' && route.params.id ? route.params.id : undefined,
)
const current = ref<string>()
const place = computed(() => rows.value.findIndex((row) => row.key === current.value))

function openSheet(id: string): void {
  current.value = id
  void router.push({ name: 'follow-ups', params: { id } })
}

function closeSheet(): void {
  void router.push({ name: 'follow-ups', params: { id: '' } })
}

function step(by: number): void {
  const target = Math.min(Math.max(place.value + by, 0), rows.value.length - 1)
  current.value = rows.value[target]?.key
}

/** What is done leaves its place; the list goes on with what comes after it. */
async function tick(line: FollowUpLine): Promise<void> {
  const at = rows.value.findIndex((row) => row.key === line.id)
  const following = rows.value[at + 1] ?? rows.value[at - 1]
  if (current.value === line.id) {
    current.value = following?.key
  }
  await setState(line, line.state === 'OPEN' ? 'DONE' : 'OPEN')
}

function categoryOf(line: FollowUpLine) {
  return categories.data.value?.find((category) => category.id === line.categoryId)
}

const listed = () => !openId.value
const pointed = () => listed() && place.value >= 0
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
  {
    ...view.keys.done,
    run: () => {
      const row = rows.value[place.value]
      if (row) {
        void tick(row.line)
      }
    },
    when: pointed,
  },
  {
    ...view.keys.open,
    run: () => {
      if (current.value) {
        openSheet(current.value)
      }
    },
    when: pointed,
  },
])
</script>

<template>
  <div class="relative flex h-full flex-col">
    <div
      class="mx-auto flex w-full max-w-5xl shrink-0 flex-wrap items-center gap-x-4 gap-y-1 px-3 py-2"
    >
      <h1 class="text-lg font-semibold">Follow-ups</h1>
      <template v-if="followUps.data.value">
        <p class="text-ink-soft">
          {{ open.length }} open ·
          <span :class="late ? 'text-brass-ink font-semibold' : ''">{{ late }} late</span> ·
          {{ followUps.data.value.undated }} without a date
        </p>
        <span class="ml-auto flex gap-1">
          <button
            v-if="waiting.length"
            class="btn h-7 max-sm:h-11"
            type="button"
            :aria-pressed="withWaiting"
            :class="withWaiting ? 'border-kelp text-kelp bg-kelp-wash' : ''"
            data-test="waiting"
            @click="withWaiting = !withWaiting"
          >
            Waiting {{ waiting.length }}
          </button>
          <button
            v-if="later.length"
            class="btn h-7 max-sm:h-11"
            type="button"
            :aria-pressed="withLater"
            :class="withLater ? 'border-kelp text-kelp bg-kelp-wash' : ''"
            data-test="later"
            @click="withLater = !withLater"
          >
            Put off {{ later.length }}
          </button>
          <button
            v-if="ended.length"
            class="btn h-7 max-sm:h-11"
            type="button"
            :aria-pressed="withEnded"
            :class="withEnded ? 'border-kelp text-kelp bg-kelp-wash' : ''"
            data-test="ended"
            @click="withEnded = !withEnded"
          >
            Ended lately {{ ended.length }}
          </button>
        </span>
      </template>
    </div>
    <Loading v-if="followUps.isPending.value" />
    <Note v-else-if="followUps.isError.value" title="Follow-ups could not be loaded" problem>
      <p>{{ followUps.error.value?.message }}</p>
      <button class="btn" type="button" @click="void followUps.refetch()">Try again</button>
    </Note>
    <Note
      v-else-if="open.length + waiting.length + later.length + ended.length === 0"
      title="Nothing to follow up"
    >
      <p>What you decide to follow up in Intake appears here, what is wanted first at the top.</p>
      <RouterLink class="btn btn-main" to="/intake">Go to Intake</RouterLink>
    </Note>
    <RowList
      v-else
      class="mx-auto min-h-0 w-full max-w-5xl flex-1"
      label="Follow-ups"
      :groups="groups"
      :current="current"
      @choose="(row) => openSheet(row.key)"
      @go="(key) => (current = key)"
    >
      <template #heading="{ group }">
        <span class="font-semibold">{{ group.title }}</span>
        <span class="text-ink-soft">{{ group.rows.length }}</span>
      </template>
      <template #row="{ row, current: isCurrent }">
        <FollowUpRow
          :line="row.line"
          :category="categoryOf(row.line)"
          :current="isCurrent"
          @done="void tick(row.line)"
        />
      </template>
    </RowList>
    <FollowUpSheet v-if="openId" :id="openId" :key="openId" @close="closeSheet" />
  </div>
</template>
