<script setup lang="ts">
import { computed } from 'vue'
import { useFollowUpFacets } from '@/api/followUpQueries'
import type { CategoryView, FollowUpValue } from '@/api/client'
import type { FilterPart } from '@/followups/arranged'
import { FACETS, titleOf } from '@/followups/facets'
import CategoryMark from '@/ui/CategoryMark.vue'
import Chip from '@/ui/Chip.vue'
import Loading from '@/ui/Loading.vue'

/** Every value that open follow-ups have, facet by facet; asked for while it is open. */
const { only, categories } = defineProps<{
  only: readonly FilterPart[]
  categories: readonly CategoryView[]
}>()
const emit = defineEmits<{ toggle: [part: FilterPart] }>()

const values = useFollowUpFacets()
const offered = computed(() =>
  FACETS.map(({ facet, name }) => ({
    facet,
    name,
    values: (values.data.value ?? []).filter((each) => each.facet === facet),
  })).filter((each) => each.values.length > 1 || each.values.some(isChosen)),
)

function isChosen(part: { facet: string; key: string }): boolean {
  return only.some((each) => each.facet === part.facet && each.key === part.key)
}

function part(value: FollowUpValue): FilterPart {
  return { facet: value.facet, key: value.key, name: titleOf(value, value.facet) }
}
</script>

<template>
  <div class="w-[min(560px,calc(100vw-72px))] space-y-2" data-test="filter-panel">
    <Loading v-if="values.isPending.value" />
    <p v-else-if="values.isError.value" class="text-rust" role="alert">
      What there is to choose could not be loaded.
      <button class="btn h-7" type="button" @click="void values.refetch()">Try again</button>
    </p>
    <p v-else-if="offered.length === 0" class="text-ink-soft">
      The open follow-ups differ in nothing yet by which they could be told apart.
    </p>
    <div
      v-for="each in offered"
      :key="each.facet"
      class="flex items-baseline gap-1.5"
      role="group"
      :aria-label="each.name"
    >
      <span class="text-ink-soft w-16 shrink-0 text-sm">{{ each.name }}</span>
      <span class="flex min-w-0 flex-wrap gap-1.5">
        <Chip
          v-for="value in each.values"
          :key="value.key"
          :on="isChosen(value)"
          :count="value.count"
          data-test="filter-value"
          @click="emit('toggle', part(value))"
        >
          <CategoryMark
            v-if="value.facet === 'CATEGORY'"
            :category="categories.find((category) => category.id === value.key)"
          />
          <bdi class="truncate">{{ titleOf(value, value.facet) }}</bdi>
        </Chip>
      </span>
    </div>
  </div>
</template>
