<script setup lang="ts">
import { computed } from 'vue'
import type { CategoryView, SearchChips, SearchFilter, SourceView } from '@/api/client'
import ChipRow from '@/find/ChipRow.vue'
import { KINDS, STANDINGS } from '@/find/narrowing'
import Chip from '@/ui/Chip.vue'
import DaySpan from '@/ui/DaySpan.vue'

/** What narrows a search: chosen, never typed. */
const { chips, categories, sources } = defineProps<{
  chips: SearchChips
  categories: readonly CategoryView[]
  sources: readonly SourceView[]
}>()
const filter = defineModel<SearchFilter>({ required: true })

interface Offered {
  value: string
  text: string
  count?: number
}

/** What is chosen stays in sight, also where nothing is found with it. */
function offered(
  of: readonly { value: string; count: number }[],
  chosen: string | null,
  nameOf: (value: string) => string,
): Offered[] {
  const all: Offered[] = of.map(({ value, count }) => ({ value, count, text: nameOf(value) }))
  return chosen === null || all.some((each) => each.value === chosen)
    ? all
    : [{ value: chosen, text: nameOf(chosen) }, ...all]
}

function set(change: Partial<SearchFilter>): void {
  filter.value = { ...filter.value, ...change }
}

const people = computed(() =>
  offered(chips.people.slice(0, 5), filter.value.person, (address) => {
    const name = chips.people.find((each) => each.value === address)?.name
    return name ? name : address
  }),
)
const kinds = computed(() =>
  offered(chips.kinds, filter.value.kind, (kind) =>
    kind in KINDS ? KINDS[kind as keyof typeof KINDS] : kind,
  ),
)
const standings = computed(() =>
  offered(chips.standings, filter.value.standing, (standing) =>
    standing in STANDINGS ? STANDINGS[standing as keyof typeof STANDINGS] : standing,
  ),
)
const inCategories = computed(() =>
  offered(
    chips.categories,
    filter.value.categoryId,
    (id) => categories.find((each) => each.id === id)?.name ?? 'deleted category',
  ),
)
const inSources = computed(() =>
  offered(
    chips.sources,
    filter.value.sourceId,
    (id) => sources.find((each) => each.id === id)?.name ?? 'a source of before',
  ),
)
const inRooms = computed(() =>
  offered(chips.rooms.slice(0, 5), filter.value.roomId, (id) => {
    const name = chips.rooms.find((each) => each.value === id)?.name
    return name ? name : 'a room'
  }),
)
/** Whether something has a file or belongs to a follow-up: each is one press. */
const rest = computed(() => {
  const { withFile, linked } = filter.value
  return [
    ...offered(
      chips.files.filter((each) => each.value === 'true'),
      withFile ? 'true' : null,
      () => 'with a file',
    ).map((each) => ({
      ...each,
      value: 'file',
      on: withFile === true,
      to: { withFile: true },
      off: { withFile: null },
    })),
    ...([true, false] as const).flatMap((wanted) =>
      offered(
        chips.linked.filter((each) => each.value === String(wanted)),
        linked === wanted ? String(wanted) : null,
        () => (wanted ? 'with a follow-up' : 'without a follow-up'),
      ).map((each) => ({
        ...each,
        value: wanted ? 'linked' : 'unlinked',
        on: linked === wanted,
        to: { linked: wanted },
        off: { linked: null },
      })),
    ),
  ]
})
</script>

<template>
  <div class="space-y-1 print:hidden" data-test="narrowing">
    <ChipRow
      name="What"
      :chips="kinds"
      :chosen="filter.kind"
      @choose="(kind) => set({ kind: kind as SearchFilter['kind'] })"
    />
    <ChipRow
      name="Who"
      :chips="people"
      :chosen="filter.person"
      @choose="(person) => set({ person })"
    />
    <ChipRow
      v-if="inCategories.length > 0"
      name="Category"
      :chips="inCategories"
      :chosen="filter.categoryId"
      @choose="(categoryId) => set({ categoryId })"
    />
    <ChipRow
      v-if="inSources.length > 1 || filter.sourceId"
      name="From"
      :chips="inSources"
      :chosen="filter.sourceId"
      @choose="(sourceId) => set({ sourceId })"
    />
    <ChipRow
      name="Room"
      :chips="inRooms"
      :chosen="filter.roomId"
      @choose="(roomId) => set({ roomId })"
    />
    <ChipRow
      name="State"
      :chips="standings"
      :chosen="filter.standing"
      @choose="(standing) => set({ standing: standing as SearchFilter['standing'] })"
    />
    <div class="flex flex-wrap items-center gap-1.5">
      <span class="text-ink-soft w-16 shrink-0 text-sm">Besides</span>
      <Chip
        v-for="chip in rest"
        :key="chip.value"
        :on="chip.on"
        :count="chip.count"
        @click="set(chip.on ? chip.off : chip.to)"
      >
        {{ chip.text }}
      </Chip>
      <DaySpan
        test="found"
        :from="filter.fromDay"
        :to="filter.toDay"
        @from="(fromDay) => set({ fromDay })"
        @to="(toDay) => set({ toDay })"
      />
    </div>
  </div>
</template>
