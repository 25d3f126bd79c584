<script setup lang="ts">
import { Filter, X } from '@lucide/vue'
import { computed } from 'vue'
import type { CategoryView, FollowUpValue } from '@/api/client'
import { useFollowUpFacets } from '@/api/followUpQueries'
import type { FilterPart } from '@/followups/arranged'
import { FACETS, titleOf } from '@/followups/facets'
import CategoryMark from '@/ui/CategoryMark.vue'
import Floating from '@/ui/Floating.vue'

/** What narrows the list: chosen values of each facet. What has one of them, of every facet that is named, is shown. */
const { only, categories } = defineProps<{
  only: readonly FilterPart[]
  categories: readonly CategoryView[]
}>()
const emit = defineEmits<{ toggle: [part: FilterPart]; clear: [] }>()

const values = useFollowUpFacets()
const offered = computed(() =>
  FACETS.map(({ facet, name }) => ({
    facet,
    name,
    values: (values.data.value ?? []).filter((each) => each.facet === facet),
  })).filter((each) => each.values.length > 1 || each.values.some((value) => isChosen(value))),
)

function isChosen(part: { facet: string; key: string }): boolean {
  return only.some((each) => each.facet === part.facet && each.key === part.key)
}

function part(value: FollowUpValue): FilterPart {
  return { facet: value.facet, key: value.key, name: titleOf(value, value.facet) }
}

function category(key: string): CategoryView | undefined {
  return categories.find((each) => each.id === key)
}
</script>

<template>
  <Floating test="filter">
    <template #button><Filter :size="13" aria-hidden="true" /> Only…</template>
    <div class="w-[min(560px,calc(100vw-48px))] space-y-2" data-test="filter-panel">
      <div
        v-for="each in offered"
        :key="each.facet"
        class="flex items-baseline gap-1.5"
        role="group"
        :aria-label="each.name"
      >
        <span class="text-ink-soft w-16 shrink-0 text-sm">{{ each.name }}</span>
        <span class="flex flex-wrap gap-1.5">
          <button
            v-for="value in each.values"
            :key="value.key"
            class="part max-w-56 max-sm:h-11"
            type="button"
            :class="isChosen(value) ? 'border-kelp bg-kelp-wash font-semibold' : ''"
            :aria-pressed="isChosen(value)"
            data-test="filter-value"
            @click="emit('toggle', part(value))"
          >
            <CategoryMark v-if="value.facet === 'CATEGORY'" :category="category(value.key)" />
            <bdi class="truncate">{{ titleOf(value, value.facet) }}</bdi>
            <span class="text-ink-soft text-sm">{{ value.count }}</span>
          </button>
        </span>
      </div>
      <p v-if="offered.length === 0" class="text-ink-soft">
        The open follow-ups differ in nothing yet by which they could be told apart.
      </p>
    </div>
  </Floating>
  <button
    v-for="chosen in only"
    :key="`${chosen.facet} ${chosen.key}`"
    class="part border-kelp bg-kelp-wash max-w-56 font-semibold max-sm:h-11"
    type="button"
    :title="`No longer only: ${chosen.name}`"
    data-test="filter-chosen"
    @click="emit('toggle', chosen)"
  >
    <bdi class="truncate">{{ chosen.name }}</bdi> <X :size="13" aria-hidden="true" />
  </button>
  <button
    v-if="only.length > 1"
    class="btn btn-quiet h-7 px-2 max-sm:h-11"
    type="button"
    data-test="filter-clear"
    @click="emit('clear')"
  >
    All of them
  </button>
</template>
