<script setup lang="ts">
import { computed, nextTick, onMounted, onScopeDispose, ref, useTemplateRef, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { client, newId, type FoundThing, type KeptSearch, type SearchFilter } from '@/api/client'
import { run } from '@/api/commands'
import { fetchFound, useCategories, useFound, useSources } from '@/api/queries'
import KeptSearches from '@/find/KeptSearches.vue'
import { addressOf, filterOf, narrows, NOTHING, placeOf, requestOf } from '@/find/narrowing'
import Narrowing from '@/find/Narrowing.vue'
import { openedIn, rememberOpened } from '@/find/pointed'
import ResultRow from '@/find/ResultRow.vue'
import { tableOf } from '@/find/table'
import OutMenu from '@/lists/OutMenu.vue'
import Loading from '@/ui/Loading.vue'
import Note from '@/ui/Note.vue'

/** One line over everything. What is looked for stands in the address, so that back comes back to it. */
const STEP = 30
const MOST = 150
const PAUSE_MS = 120

const route = useRoute()
const router = useRouter()
const field = useTemplateRef<HTMLInputElement>('field')
const list = useTemplateRef<HTMLElement>('list')
const words = ref(typeof route.query.q === 'string' ? route.query.q : '')
const filter = computed(() => filterOf(route.query))
const newest = computed(() => route.query.order === 'newest')
const most = ref(openedIn(route.fullPath)?.most ?? STEP)
const asked = ref(words.value)

function go(next: { words?: string; filter?: SearchFilter; newest?: boolean }): void {
  void router.replace({
    query: addressOf(
      next.words ?? words.value,
      next.filter ?? filter.value,
      next.newest ?? newest.value,
    ),
  })
}

let pause: number | undefined
/** What was typed is looked for now. */
function look(): void {
  window.clearTimeout(pause)
  pause = undefined
  if (asked.value !== words.value) {
    asked.value = words.value
    most.value = STEP
    go({ words: words.value })
  }
}

watch(words, () => {
  window.clearTimeout(pause)
  pause = window.setTimeout(look, PAUSE_MS)
})
// Whoever has left is not called back.
onScopeDispose(() => {
  window.clearTimeout(pause)
})
watch(
  () => route.query.q,
  (said) => {
    const now = typeof said === 'string' ? said : ''
    if (now !== asked.value) {
      words.value = now
      asked.value = now
    }
  },
)

const found = useFound(() => requestOf(asked.value, filter.value, newest.value, most.value))
const categories = useCategories()
const sources = useSources()
const results = computed(() => found.data.value?.results ?? [])
const total = computed(() => found.data.value?.total ?? 0)

const pointed = ref(0)
watch(
  results,
  (now) => {
    pointed.value = Math.max(
      0,
      now.findIndex((each) => `${each.kind}${each.id}` === openedIn(route.fullPath)?.result),
    )
  },
  { immediate: true },
)

function point(by: number): void {
  pointed.value = Math.max(0, Math.min(results.value.length - 1, pointed.value + by))
  void nextTick(() => {
    list.value?.querySelector('[aria-selected=true]')?.scrollIntoView({ block: 'nearest' })
  })
}

function open(thing: FoundThing | undefined): void {
  if (!thing) {
    return
  }
  rememberOpened(route.fullPath, { result: `${thing.kind}${thing.id}`, most: most.value })
  void router.push(placeOf(thing))
}

/** Opens the one pointed at; where Enter came before the answer, the first of that. */
async function openPointed(): Promise<void> {
  if (asked.value === words.value && !found.isPlaceholderData.value) {
    open(results.value[pointed.value])
    return
  }
  look()
  const typed = words.value
  try {
    const first = (await fetchFound(requestOf(typed, filter.value, newest.value, most.value)))
      .results[0]
    if (words.value === typed) {
      open(first)
    }
  } catch {
    // The list says what went wrong.
  }
}

function onKey(event: KeyboardEvent): void {
  if (event.key === 'ArrowDown') {
    point(1)
  } else if (event.key === 'ArrowUp') {
    point(-1)
  } else if (event.key === 'PageDown') {
    point(8)
  } else if (event.key === 'PageUp') {
    point(-8)
  } else if (event.key === 'Enter') {
    void openPointed()
  } else if (event.key === 'Escape') {
    if (words.value === '' && !narrows(filter.value)) {
      router.back()
    } else {
      words.value = ''
      asked.value = ''
      go({ words: '', filter: NOTHING })
    }
  } else {
    return
  }
  event.preventDefault()
}

/** On a narrow screen the chips are folded, so that what is found is in sight. */
const unfolded = ref(false)

/** The name under which it is kept, while it is asked for. */
const name = ref<string>()
const keeping = useTemplateRef<HTMLInputElement>('keeping')

function keep(): void {
  name.value = words.value
  void nextTick(() => keeping.value?.select())
}

function kept(): void {
  const called = name.value?.trim()
  if (called) {
    name.value = undefined
    void run((header) =>
      client.PUT('/api/searches/{id}', {
        params: { path: { id: newId() }, header },
        body: { name: called, words: words.value, filter: filter.value },
      }),
    )
  }
}

function openKept(search: KeptSearch): void {
  words.value = search.words
  asked.value = search.words
  go({ words: search.words, filter: { ...NOTHING, ...search.filter } })
}

onMounted(() => {
  field.value?.focus()
})
</script>

<template>
  <div class="flex h-full gap-6 overflow-auto px-3 py-2 sm:px-6">
    <div class="min-w-0 flex-1">
      <h1 class="sr-only">Find</h1>
      <div class="flex flex-wrap items-center gap-2">
        <input
          ref="field"
          v-model="words"
          type="text"
          class="field h-10 min-w-60 flex-1 text-base"
          maxlength="500"
          placeholder="Words, a name, an address; “in quotes” exactly so"
          aria-label="What is looked for"
          role="combobox"
          aria-controls="found"
          aria-expanded="true"
          aria-autocomplete="list"
          :aria-activedescendant="results.length > 0 ? `found-${pointed}` : undefined"
          autocomplete="off"
          spellcheck="false"
          data-test="find-field"
          @keydown="onKey"
        />
        <button
          type="button"
          class="btn max-sm:h-11"
          :aria-pressed="newest"
          data-test="newest"
          @click="go({ newest: !newest })"
        >
          {{ newest ? 'Newest first' : 'Best first' }}
        </button>
        <form v-if="name !== undefined" class="flex gap-2" @submit.prevent="kept">
          <input
            ref="keeping"
            v-model="name"
            class="field w-40"
            maxlength="100"
            aria-label="The name under which it is kept"
            data-test="keep-name"
            @keydown.esc.stop="name = undefined"
          />
          <button class="btn btn-main max-sm:h-11" type="submit">Keep</button>
        </form>
        <button
          v-else-if="words !== '' || narrows(filter)"
          type="button"
          class="btn max-sm:h-11"
          data-test="keep"
          @click="keep"
        >
          Keep it
        </button>
      </div>
      <button
        type="button"
        class="btn mt-2 h-11 sm:hidden"
        :aria-expanded="unfolded"
        @click="unfolded = !unfolded"
      >
        {{
          unfolded ? 'Fold the chips' : narrows(filter) ? 'Narrowed by chips' : 'Narrow by chips'
        }}
      </button>
      <Narrowing
        v-if="found.data.value"
        class="border-line mt-2 border-b pb-2"
        :class="unfolded ? '' : 'max-sm:hidden'"
        :model-value="filter"
        :chips="found.data.value.chips"
        :categories="categories.data.value ?? []"
        :sources="sources.data.value ?? []"
        @update:model-value="(next) => go({ filter: next })"
      />
      <p class="text-ink-soft py-1 text-sm" aria-live="polite" data-test="how-many">
        <template v-if="found.data.value">
          <template v-if="total === 0">Nothing</template>
          <template v-else-if="total === 1">1 thing</template>
          <template v-else>{{ total }} things</template>
          {{ words === '' ? 'in all' : 'found'
          }}<template v-if="words !== '' && total > 0 && !found.data.value.asTyped"
            >, by similar words: nothing has all of them as typed</template
          ><template v-if="found.data.value.behind > 0"
            >; {{ found.data.value.behind }} more are still being taken in</template
          >
        </template>
      </p>
      <KeptSearches
        v-if="words === '' && !narrows(filter)"
        class="mb-3 md:hidden"
        @open="openKept"
      />
      <Loading v-if="found.isPending.value" />
      <Note v-else-if="found.isError.value" title="It could not be looked for" problem>
        <p>{{ found.error.value?.message }}</p>
        <button class="btn" type="button" @click="void found.refetch()">Try again</button>
      </Note>
      <Note v-else-if="results.length === 0" title="Nothing is found">
        <p v-if="narrows(filter)">Fewer chips find more: each pressed one narrows.</p>
        <p v-else-if="words !== ''">
          Fewer or other words may find it. Texts, subjects, names, addresses and what stands in
          files are looked through, your own accounts' only.
        </p>
        <p v-else>Messages, follow-ups, people and files appear here as they come.</p>
      </Note>
      <div v-else id="found" ref="list" role="listbox" aria-label="What was found">
        <div
          v-for="(thing, index) in results"
          :id="`found-${index}`"
          :key="thing.kind + thing.id"
          role="option"
          :aria-selected="index === pointed"
          @click="open(thing)"
          @mousemove="pointed = index"
        >
          <ResultRow
            :thing="thing"
            :category="(categories.data.value ?? []).find((each) => each.id === thing.categoryId)"
            :pointed="index === pointed"
          />
        </div>
      </div>
      <p v-if="results.length > 0" class="mt-2 text-sm print:hidden">
        <OutMenu :list="() => tableOf(words, results)" />
      </p>
      <button
        v-if="results.length >= most && most < MOST"
        class="btn mt-2 max-sm:h-11"
        type="button"
        data-test="show-more"
        @click="most = Math.min(MOST, most + STEP)"
      >
        Show more
      </button>
    </div>
    <KeptSearches class="w-56 shrink-0 pt-2 max-md:hidden" @open="openKept" />
  </div>
</template>
