<script setup lang="ts">
import { Filter } from '@lucide/vue'
import type { CategoryView } from '@/api/client'
import type { FilterPart } from '@/followups/arranged'
import FilterPanel from '@/followups/FilterPanel.vue'
import Chip from '@/ui/Chip.vue'
import Floating from '@/ui/Floating.vue'

/** What narrows the list: chosen values of each facet. What has one of them, of every facet that is named, is shown. */
const { only, categories } = defineProps<{
  only: readonly FilterPart[]
  categories: readonly CategoryView[]
}>()
const emit = defineEmits<{ toggle: [part: FilterPart]; clear: [] }>()
</script>

<template>
  <Floating test="filter">
    <template #button><Filter :size="13" aria-hidden="true" /> Only…</template>
    <FilterPanel :only="only" :categories="categories" @toggle="(part) => emit('toggle', part)" />
  </Floating>
  <Chip
    v-for="chosen in only"
    :key="`${chosen.facet} ${chosen.key}`"
    on
    crossed
    :title="`No longer only: ${chosen.name}`"
    data-test="filter-chosen"
    @click="emit('toggle', chosen)"
  >
    <bdi class="truncate">{{ chosen.name }}</bdi>
  </Chip>
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
