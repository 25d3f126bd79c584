<script setup lang="ts">
import { X } from '@lucide/vue'
import { computed, ref } from 'vue'
import { newId } from '@/api/client'
import { useFollowUpFacets } from '@/api/followUpQueries'
import { useKeptSearches, usePeople } from '@/api/queries'
import { FACETS, titleOf } from '@/followups/facets'
import { saveMatter } from '@/people/changes'
import { nameOf, valueOf, type Dragged, type Shown, type StripDrop } from '@/strips/shown'
import { useStripRows } from '@/strips/useStripRows'
import Loading from '@/ui/Loading.vue'

/** A list beside the mail: what was chosen for it, in step with everything else; messages can be let go on it. */
const { dragged } = defineProps<{ dragged: readonly Dragged[] }>()
const shown = defineModel<Shown>({ required: true })
const emit = defineEmits<{ fold: []; drop: [what: StripDrop | undefined] }>()

const { query, rows, takes } = useStripRows(() => shown.value)
const facets = useFollowUpFacets()
const searches = useKeptSearches()
const people = usePeople('')
const over = ref(false)
const ready = computed(() => dragged.length > 0 && takes.value !== undefined)

interface Offer {
  readonly title: string
  readonly all: readonly Shown[]
}
const offers = computed<Offer[]>(() =>
  [
    { title: 'Day', all: [{ kind: 'plan' } as const] },
    ...FACETS.map(({ facet, name }) => ({
      title: `Follow-ups by ${name}`,
      all: (facets.data.value ?? [])
        .filter((value) => value.facet === facet)
        .map((value) => ({
          kind: 'group' as const,
          facet,
          key: value.key,
          name: titleOf(value, facet),
        })),
    })),
    {
      title: 'Kept searches',
      all: (searches.data.value ?? []).map(({ id, name }) => ({
        kind: 'search' as const,
        id,
        name,
      })),
    },
    {
      title: 'People',
      all: (people.data.value ?? [])
        .slice(0, 40)
        .map(({ id, name }) => ({ kind: 'person' as const, id, name })),
    },
  ].filter((offer) => offer.all.length > 0),
)
const known = computed(() =>
  offers.value.some((offer) => offer.all.some((each) => valueOf(each) === valueOf(shown.value))),
)

function choose(event: Event): void {
  const value = (event.target as HTMLSelectElement).value
  const found = offers.value.flatMap((offer) => offer.all).find((each) => valueOf(each) === value)
  if (found) {
    shown.value = found
  }
}

const EMPTY: Record<Shown['kind'], string> = {
  plan: 'Nothing is planned for today. What you plan in Today stands here.',
  group: 'No follow-up is in this group now.',
  person: 'Nothing is open with them.',
  search: 'This search finds nothing now.',
}

const WORDS: Record<StripDrop['kind'], string> = {
  day: 'let go to follow up by that day',
  category: 'let go to follow up in this category',
  talk: 'let go for the next talk with them',
}

async function drop(): Promise<void> {
  over.value = false
  const what = takes.value
  if (!ready.value || !what) {
    return
  }
  if (what.kind !== 'talk') {
    emit('drop', what)
    return
  }
  const matters = dragged
  emit('drop', undefined)
  for (const { text } of matters) {
    await saveMatter(what.id, { id: newId(), text: text.slice(0, 500), done: false })
  }
}
</script>

<template>
  <section
    class="flex h-full min-w-0 flex-1 flex-col"
    :class="over && ready ? 'bg-kelp-wash' : 'bg-paper'"
    :aria-label="`Beside: ${nameOf(shown)}`"
    data-test="strip"
    @dragover="ready && ($event.preventDefault(), (over = true))"
    @dragleave="over = false"
    @drop.prevent="void drop()"
  >
    <div class="border-line flex items-center gap-1 border-b px-2 py-1">
      <select
        class="field h-7 min-w-0 flex-1 py-0 font-semibold"
        aria-label="What stands here"
        data-test="strip-shows"
        :value="valueOf(shown)"
        @change="choose"
      >
        <option v-if="!known" :value="valueOf(shown)">{{ nameOf(shown) }}</option>
        <optgroup v-for="offer in offers" :key="offer.title" :label="offer.title">
          <option v-for="each in offer.all" :key="valueOf(each)" :value="valueOf(each)">
            {{ nameOf(each) }}
          </option>
        </optgroup>
      </select>
      <button
        class="btn btn-quiet size-7 justify-center p-0"
        type="button"
        aria-label="Fold it away"
        @click="emit('fold')"
      >
        <X :size="14" aria-hidden="true" />
      </button>
    </div>
    <p v-if="ready && takes" class="text-kelp px-3 py-1 text-sm">{{ WORDS[takes.kind] }}</p>
    <Loading v-if="query.isPending.value && query.fetchStatus.value !== 'idle'" />
    <p v-else-if="query.isError.value" class="text-rust px-3 py-2" role="alert">
      This could not be loaded.
      <button class="btn h-7" type="button" @click="void query.refetch()">Try again</button>
    </p>
    <p v-else-if="rows.length === 0" class="text-ink-soft px-3 py-2">
      {{ EMPTY[shown.kind] }}
      <template v-if="takes">Messages can be let go here.</template>
    </p>
    <ul v-else class="min-h-0 flex-1 overflow-auto">
      <li v-for="row in rows" :key="row.key" class="border-line border-b">
        <RouterLink
          :to="row.to"
          class="hover:bg-surface flex min-h-8 items-baseline gap-2 px-3 py-1.5"
          data-test="strip-row"
        >
          <bdi class="min-w-0 flex-1 truncate" :title="row.title">{{ row.title }}</bdi>
          <span class="text-ink-soft max-w-2/5 shrink-0 truncate text-sm">{{ row.beside }}</span>
        </RouterLink>
      </li>
    </ul>
  </section>
</template>
