<script setup lang="ts">
import { computed, nextTick, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { client, type EndedLine } from '@/api/client'
import { run } from '@/api/commands'
import { useCategories } from '@/api/queries'
import OutMenu from '@/lists/OutMenu.vue'
import { proofOf, type ProofWish } from '@/record/proof/query'
import { EVERYTHING, queryOf, recordWishIn, useRecord, type RecordWish } from '@/record/query'
import RecordChips from '@/record/RecordChips.vue'
import RecordHeading from '@/record/RecordHeading.vue'
import view from '@/record/view'
import { endingText, onTimeText, stampsText, tableOf } from '@/record/words'
import CategoryMark from '@/ui/CategoryMark.vue'
import { vFocus } from '@/ui/focus'
import KeyHint from '@/ui/KeyHint.vue'
import { useKeys } from '@/ui/keys'
import Loading from '@/ui/Loading.vue'
import Note from '@/ui/Note.vue'
import RowList from '@/ui/RowList.vue'
import type { RowGroup } from '@/ui/rows'
import { day, isoDayOf, moment } from '@/ui/time'
import { usePointed } from '@/ui/usePointed'

/** Everything that ended, newest first, with when it was asked, answered and done. Nothing here changes what happened. */
const ROW = 50

const router = useRouter()
const route = useRoute()
const wish = computed(() => recordWishIn(route.query))
const record = useRecord(wish)
const categories = useCategories()
const lines = computed(() => record.data.value?.pages.flatMap((page) => page.lines) ?? [])
const groups = computed(() => {
  const days = new Map<
    string,
    RowGroup<{ key: string; height: number; line: EndedLine }>['rows'][number][]
  >()
  for (const line of lines.value) {
    const ended = day(isoDayOf(new Date(line.stamps.endedAt)))
    days.set(ended, [...(days.get(ended) ?? []), { key: keyOf(line), height: ROW, line }])
  }
  return [...days].map(([title, rows]) => ({ key: title, title, rows }))
})
/** What was undone may have ended once more. */
const keyOf = (line: EndedLine) => `${line.id} ${line.undoneAt ?? ''}`
const { current, place, pointed, step } = usePointed(() => lines.value, keyOf)
/** Near the end the next page comes by itself. */
watch(place, (at) => {
  if (at > lines.value.length - 10 && record.hasNextPage.value) {
    void record.fetchNextPage()
  }
})
const person = computed(() =>
  wish.value.person === null
    ? ''
    : (lines.value.find((line) => line.fromAddress === wish.value.person)?.from ??
      wish.value.person),
)
/** Of what is shown something can be proved, where that is not simply everything. */
const toProve = computed<ProofWish>(() =>
  Object.fromEntries(
    (['person', 'category', 'from', 'to'] as const).flatMap((name) => {
      const value = wish.value[name]
      return value === null ? [] : [[name, value]]
    }),
  ),
)
const isEverything = computed(() => Object.keys(queryOf(wish.value)).length === 0)
const noting = ref(false)
const text = ref('')
watch(current, () => (noting.value = false))

function set(changed: Partial<RecordWish>): void {
  void router.replace({ query: queryOf({ ...wish.value, ...changed }) })
}

function open(line: EndedLine | undefined): void {
  if (line) {
    void router.push({
      name: line.kind === 'THREAD' ? 'threads' : 'follow-ups',
      params: { id: line.id },
    })
  }
}

function toMessage(line: EndedLine | undefined): void {
  if (line?.threadId) {
    void router.push(`/threads/${line.threadId}?message=${line.messageId ?? ''}`)
  }
}

function prove(line: EndedLine | undefined): void {
  if (line?.threadId) {
    void router.push(proofOf({ thread: line.threadId }))
  }
}

function note(): void {
  if (pointed.value) {
    text.value = pointed.value.note
    noting.value = true
  }
}

async function keepNote(): Promise<void> {
  const line = pointed.value
  if (
    line &&
    (await run((header) =>
      client.PUT('/api/record/{id}/note', {
        params: { path: { id: line.id }, header },
        body: { note: text.value },
      }),
    )) !== undefined
  ) {
    noting.value = false
    await nextTick()
    document.querySelector<HTMLElement>('[role=listbox]')?.focus()
  }
}

const some = () => pointed.value !== undefined && !noting.value
const notable = computed(() => pointed.value?.kind === 'FOLLOW_UP' && !pointed.value.undoneAt)
useKeys(view.name, [
  {
    ...view.keys.next,
    run: () => {
      step(1)
    },
  },
  {
    ...view.keys.before,
    run: () => {
      step(-1)
    },
  },
  {
    ...view.keys.open,
    run: () => {
      open(pointed.value)
    },
    when: some,
  },
  {
    ...view.keys.message,
    run: () => {
      toMessage(pointed.value)
    },
    when: some,
  },
  { ...view.keys.note, run: note, when: () => some() && notable.value },
  {
    ...view.keys.prove,
    run: () => {
      prove(pointed.value)
    },
    when: some,
  },
])
</script>

<template>
  <div class="flex h-full flex-col">
    <div
      class="mx-auto flex w-full max-w-5xl shrink-0 flex-wrap items-center gap-x-2 gap-y-1.5 px-3 py-2"
    >
      <RecordHeading />
      <RecordChips :wish="wish" :person="person" @set="set" />
      <span class="ml-auto flex gap-1.5 print:hidden">
        <RouterLink
          v-if="Object.keys(toProve).length > 0"
          class="btn max-sm:h-11"
          data-test="record-proof"
          :to="proofOf(toProve)"
          >Proof</RouterLink
        >
        <OutMenu v-if="lines.length > 0" :list="() => tableOf(lines)" />
      </span>
    </div>
    <Loading v-if="record.isPending.value" />
    <Note v-else-if="record.isError.value" title="The record could not be loaded" problem>
      <p>{{ record.error.value?.message }}</p>
      <button class="btn" type="button" @click="void record.refetch()">Try again</button>
    </Note>
    <Note v-else-if="lines.length === 0" title="Nothing has ended here">
      <p v-if="isEverything">
        {{ view.about }} What you finish or drop stands here with its stamps, for as long as you
        keep it.
      </p>
      <template v-else>
        <p v-if="record.hasNextPage.value">Among the newest two thousand there is none.</p>
        <button
          v-if="record.hasNextPage.value"
          class="btn"
          type="button"
          @click="void record.fetchNextPage()"
        >
          Look among earlier ones
        </button>
        <button class="btn" type="button" @click="set(EVERYTHING)">Show everything</button>
      </template>
    </Note>
    <RowList
      v-else
      class="mx-auto min-h-0 w-full max-w-5xl flex-1"
      label="Record"
      :groups="groups"
      :current="current"
      @choose="(row) => (current = row.key)"
      @go="(key) => (current = key)"
    >
      <template #heading="{ group }">
        <span class="font-semibold">{{ group.title }}</span>
      </template>
      <template #row="{ row, current: isCurrent }">
        <div
          class="border-line flex h-full cursor-pointer items-center gap-2 border-b px-2"
          :class="
            isCurrent ? 'bg-kelp-wash shadow-[inset_3px_0_0_var(--kelp)]' : 'hover:bg-surface'
          "
          data-test="ended"
          @dblclick="open(row.line)"
        >
          <span class="w-8 shrink-0"
            ><CategoryMark
              :category="
                (categories.data.value ?? []).find((each) => each.id === row.line.categoryId)
              "
          /></span>
          <span class="min-w-0 flex-1">
            <span class="flex items-baseline gap-2">
              <span
                class="truncate font-semibold"
                :class="
                  row.line.state === 'DROPPED' || row.line.undoneAt
                    ? 'text-ink-soft line-through'
                    : ''
                "
                >{{ row.line.title || 'A thread without a subject' }}</span
              >
              <span
                v-if="endingText(row.line)"
                class="text-ink-soft shrink-0 text-sm"
                data-test="ending"
                >{{ endingText(row.line) }}</span
              >
              <span v-if="row.line.note" class="text-brass-ink min-w-0 truncate text-sm">{{
                row.line.note
              }}</span>
            </span>
            <span class="text-ink-soft block truncate text-sm">{{ stampsText(row.line) }}</span>
          </span>
          <span class="shrink-0 text-right text-sm max-sm:max-w-28">
            <bdi class="block truncate">{{ row.line.from }}</bdi>
            <span
              class="block truncate"
              :class="row.line.stamps.onTime === false ? 'text-brass-ink' : 'text-ink-soft'"
              >{{ onTimeText(row.line) }}</span
            >
          </span>
        </div>
      </template>
      <template #after>
        <button
          v-if="record.hasNextPage.value"
          class="btn m-3 max-sm:h-11"
          type="button"
          data-test="record-more"
          :disabled="record.isFetchingNextPage.value"
          @click="void record.fetchNextPage()"
        >
          Show earlier ones
        </button>
      </template>
    </RowList>
    <div
      v-if="pointed"
      class="border-line-strong bg-surface flex min-h-12 shrink-0 flex-wrap items-center gap-2 border-t px-3 py-2 print:hidden"
      role="group"
      aria-label="The one pointed at"
      data-test="record-bar"
    >
      <form
        v-if="noting"
        class="flex flex-1 flex-wrap items-center gap-2"
        @submit.prevent="void keepNote()"
        @keydown.esc.stop="noting = false"
      >
        <label class="font-semibold" for="record-note">Note</label>
        <input
          id="record-note"
          v-model="text"
          v-focus
          class="field min-w-40 flex-1"
          maxlength="4000"
          autocomplete="off"
          data-test="record-note"
        />
        <button class="btn btn-main h-8 max-sm:h-11" type="submit">
          Keep it <span class="key">Enter</span>
        </button>
      </form>
      <template v-else>
        <button class="btn h-8 max-sm:h-11" type="button" @click="open(pointed)">
          Open <KeyHint :group="view.name" :does="view.keys.open.does" or="Enter" />
        </button>
        <button
          v-if="pointed.threadId"
          class="btn h-8 max-sm:h-11"
          type="button"
          data-test="record-message"
          @click="toMessage(pointed)"
        >
          The message <KeyHint :group="view.name" :does="view.keys.message.does" or="M" />
        </button>
        <button
          v-if="pointed.threadId"
          class="btn h-8 max-sm:h-11"
          type="button"
          data-test="record-prove"
          @click="prove(pointed)"
        >
          Proof <KeyHint :group="view.name" :does="view.keys.prove.does" or="B" />
        </button>
        <button v-if="notable" class="btn h-8 max-sm:h-11" type="button" @click="note">
          Note <KeyHint :group="view.name" :does="view.keys.note.does" or="N" />
        </button>
        <button
          v-if="pointed.fromAddress && wish.person === null"
          class="btn h-8 max-sm:h-11"
          type="button"
          @click="set({ person: pointed.fromAddress })"
        >
          Only from <bdi>{{ pointed.from }}</bdi>
        </button>
        <span class="text-ink-soft ml-auto text-sm max-sm:hidden"
          >ended {{ moment(pointed.stamps.endedAt) }}</span
        >
      </template>
    </div>
  </div>
</template>
