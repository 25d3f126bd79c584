<script setup lang="ts" generic="R">
import type { RouteLocationRaw } from 'vue-router'
import { useRouter } from 'vue-router'
import type { ChartBars } from '@/record/figures/bars'
import BarChart from '@/record/figures/BarChart.vue'

/** One figure: what it says in a sentence, drawn, and its numbers as a table of which each row leads to what is behind it. */
const { rows } = defineProps<{
  title: string
  words: string
  test: string
  chart: ChartBars
  heading: readonly string[]
  rows: readonly {
    readonly key: string
    readonly cells: readonly string[]
    readonly to?: RouteLocationRaw
  }[]
}>()

const router = useRouter()

function choose(place: number): void {
  const to = rows[place]?.to
  if (to) {
    void router.push(to)
  }
}
</script>

<template>
  <section class="border-line border-t pt-3" :data-test="test" :aria-label="title">
    <h2 class="text-ink-soft text-sm">{{ title }}</h2>
    <p class="mb-2 font-semibold">{{ words }}</p>
    <BarChart v-if="rows.length > 0" :chart="chart" @choose="choose" />
    <details v-if="rows.length > 0" class="mt-1">
      <summary class="text-ink-soft cursor-pointer text-sm max-sm:py-3">The numbers</summary>
      <div class="overflow-x-auto">
        <table class="mt-1 w-full text-sm">
          <caption class="sr-only">
            {{
              title
            }}
          </caption>
          <thead>
            <tr>
              <th
                v-for="(name, i) in heading"
                :key="name"
                scope="col"
                class="border-line-strong border-b py-1 pr-3"
                :class="i === 0 ? 'text-left' : 'text-right'"
              >
                {{ name }}
              </th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="row in rows" :key="row.key">
              <th scope="row" class="border-line border-b py-1 pr-3 text-left font-normal">
                <RouterLink
                  v-if="row.to"
                  class="hover:text-kelp wrap-anywhere underline"
                  :to="row.to"
                  ><bdi>{{ row.cells[0] }}</bdi></RouterLink
                >
                <bdi v-else>{{ row.cells[0] }}</bdi>
              </th>
              <td
                v-for="(cell, i) in row.cells.slice(1)"
                :key="i"
                class="border-line border-b py-1 pr-3 text-right tabular-nums"
              >
                {{ cell }}
              </td>
            </tr>
          </tbody>
        </table>
      </div>
    </details>
    <slot />
  </section>
</template>
