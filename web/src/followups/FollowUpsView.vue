<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useFollowUps } from '@/api/followUpQueries'
import { useCategories } from '@/api/queries'
import { useArranged } from '@/followups/arranged'
import ArrangementList from '@/followups/ArrangementList.vue'
import { FACETS } from '@/followups/facets'
import FilterChips from '@/followups/FilterChips.vue'
import FollowUpList from '@/followups/FollowUpList.vue'
import FollowUpSheet from '@/followups/FollowUpSheet.vue'
import HereAndNow from '@/followups/HereAndNow.vue'
import { isLate } from '@/followups/standing'
import view from '@/followups/view'
import KeyHint from '@/ui/KeyHint.vue'
import { useKeys } from '@/ui/keys'
import Loading from '@/ui/Loading.vue'
import Note from '@/ui/Note.vue'

const route = useRoute()
const router = useRouter()
const followUps = useFollowUps()
const open = computed(() => followUps.data.value?.open ?? [])
const later = computed(() => followUps.data.value?.later ?? [])
const waiting = computed(() => followUps.data.value?.waiting ?? [])
const ended = computed(() => followUps.data.value?.ended ?? [])
const late = computed(() => open.value.filter(isLate).length)
const withLater = ref(false)
const withWaiting = ref(false)
const withEnded = ref(true)
const { facet, byHand, only, arranged, toggle, takeOver, standsAs } = useArranged()
const arranging = ref(false)
const categories = useCategories()
const byState = computed(() => only.value.some((each) => each.facet === 'STATE'))
/** By state what is out of sight stands among the others. */
const listed = computed(() =>
  facet.value === 'STATE' || byState.value
    ? [...open.value, ...waiting.value, ...later.value]
    : open.value,
)
/** What fits here and now, while that is asked. */
const hereAndNow = ref(false)
const fits = ref<ReadonlySet<string>>()
const more = computed(() => [
  ...(facet.value === 'STATE'
    ? []
    : [
        { title: 'Waiting', lines: withWaiting.value ? waiting.value : [] },
        { title: 'Put off until a later day', lines: withLater.value ? later.value : [] },
      ]),
  { title: 'Ended in the last seven days', lines: withEnded.value ? ended.value : [] },
])
const openId = computed(() =>
  typeof route.params.id === 'string' && route.params.id ? route.params.id : undefined,
)

function openSheet(id: string): void {
  void router.push({ name: 'follow-ups', params: { id } })
}

function closeSheet(): void {
  void router.push({ name: 'follow-ups', params: { id: '' } })
}

function groupOtherwise(): void {
  const at = FACETS.findIndex((each) => each.facet === facet.value)
  facet.value = FACETS[(at + 1) % FACETS.length]?.facet ?? 'REPLY_BY'
}

function askHereAndNow(): void {
  hereAndNow.value = !hereAndNow.value
  fits.value = undefined
}

useKeys(view.name, [
  { ...view.keys.group, run: groupOtherwise, when: () => !openId.value },
  {
    ...view.keys.arrange,
    run: () => (arranging.value = !arranging.value),
    when: () => !openId.value,
  },
  { ...view.keys.here, run: askHereAndNow, when: () => !openId.value },
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
        <label class="flex items-center gap-2 print:hidden">
          <span class="text-ink-soft">by</span>
          <select v-model="facet" class="field h-7 w-auto py-0 max-sm:h-11" data-test="group-by">
            <option v-for="each in FACETS" :key="each.facet" :value="each.facet">
              {{ each.name }}
            </option>
          </select>
          <KeyHint class="max-sm:hidden" :group="view.name" :does="view.keys.group.does" or="B" />
        </label>
        <label class="flex items-center gap-2 print:hidden">
          <span class="text-ink-soft">order</span>
          <select v-model="byHand" class="field h-7 w-auto py-0 max-sm:h-11" data-test="order">
            <option :value="false">by date</option>
            <option :value="true">my own</option>
          </select>
        </label>
        <span class="contents print:hidden"
          ><FilterChips
            :only="only"
            :categories="categories.data.value ?? []"
            @toggle="toggle"
            @clear="only = []"
        /></span>
        <span class="ml-auto flex flex-wrap gap-1 print:hidden">
          <button
            class="btn h-7 max-sm:h-11"
            type="button"
            :aria-pressed="arranging"
            :class="arranging ? 'border-kelp text-kelp bg-kelp-wash' : ''"
            data-test="arrange"
            @click="arranging = !arranging"
          >
            Arrangements
            <KeyHint
              class="max-sm:hidden"
              :group="view.name"
              :does="view.keys.arrange.does"
              or="A"
            />
          </button>
          <button
            class="btn h-7 max-sm:h-11"
            type="button"
            :aria-pressed="hereAndNow"
            :class="hereAndNow ? 'border-kelp text-kelp bg-kelp-wash' : ''"
            data-test="here"
            @click="askHereAndNow"
          >
            Here and now
            <KeyHint class="max-sm:hidden" :group="view.name" :does="view.keys.here.does" or="N" />
          </button>
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
        <ArrangementList
          v-if="arranging"
          :now="{ facet, byHand, only }"
          :stands-as="standsAs"
          @choose="takeOver"
          @close="arranging = false"
        />
        <HereAndNow v-if="hereAndNow" class="w-full" @fits="(ids) => (fits = ids)" />
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
      <p>{{ view.about }}</p>
      <p>What you decide to follow up in Intake appears here, what is wanted first at the top.</p>
      <RouterLink class="btn btn-main" to="/intake">Go to Intake</RouterLink>
    </Note>
    <FollowUpList
      v-else
      :open="listed"
      :more="more"
      :arranged="arranged"
      :only="hereAndNow ? fits : undefined"
      :active="!openId"
      @open="openSheet"
      @ordered="byHand = true"
    />
    <FollowUpSheet v-if="openId" :id="openId" :key="openId" @close="closeSheet" />
  </div>
</template>
