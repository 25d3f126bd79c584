<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted, useTemplateRef, watch } from 'vue'
import type { ChartBars } from '@/record/figures/bars'
import { Chart, type ChartConfiguration } from '@/record/figures/chart'
import { minutesApart } from '@/record/figures/steps'
import { useAccountCalendar } from '@/ui/accountCalendar'

/** Bars beside each other; what they say stands in a table too, so that it is an ornament for whoever cannot see it. */
const { chart } = defineProps<{ chart: ChartBars }>()
const emit = defineEmits<{ choose: [place: number] }>()

const canvas = useTemplateRef<HTMLCanvasElement>('canvas')
let drawn: Chart<'bar'> | undefined
const height = computed(() => (chart.lying ? chart.labels.length * 26 + 34 : 190))

/** A colour of the theme that holds now. */
function colour(name: string): string {
  return getComputedStyle(document.documentElement).getPropertyValue(`--${name}`).trim()
}

function config(): ChartConfiguration<'bar'> {
  const ink = colour('ink-soft')
  const line = colour('line')
  const value = {
    beginAtZero: true,
    grid: { color: line },
    border: { display: false },
    stacked: chart.stacked,
    ticks: {
      color: ink,
      maxTicksLimit: 5,
      // Days as long as the account's are, else whole numbers.
      ...(chart.inMinutes
        ? {
            stepSize: minutesApart(
              Math.max(...chart.series.flatMap((series) => series.values)),
              useAccountCalendar().minutesOfADay,
            ),
          }
        : { precision: 0 }),
      callback: (tick: string | number) => chart.text(Number(tick)),
    },
  }
  const label = {
    grid: { display: false },
    border: { color: line },
    stacked: chart.stacked,
    ticks: { color: ink, maxRotation: 0, autoSkipPadding: 8 },
  }
  return {
    type: 'bar',
    data: {
      labels: [...chart.labels],
      datasets: chart.series.map((series) => ({
        label: series.name,
        data: [...series.values],
        backgroundColor: series.hollow ? 'transparent' : colour(series.tone),
        borderColor: colour(series.tone),
        borderWidth: 1.5,
        borderRadius: 2,
        maxBarThickness: 26,
      })),
    },
    options: {
      animation: false,
      responsive: true,
      maintainAspectRatio: false,
      indexAxis: chart.lying ? 'y' : 'x',
      onClick: (_, elements) => {
        const place = elements[0]?.index
        if (place !== undefined) {
          emit('choose', place)
        }
      },
      scales: chart.lying ? { x: value, y: label } : { x: label, y: value },
      plugins: {
        tooltip: {
          callbacks: {
            label: (item) => {
              const number = chart.lying ? item.parsed.x : item.parsed.y
              return `${item.dataset.label ?? ''}: ${chart.text(number ?? 0)}`
            },
          },
        },
      },
    },
  }
}

function draw(): void {
  drawn?.destroy()
  // A page without a way to draw, as in tests, has the table.
  const context = canvas.value?.getContext('2d')
  drawn = context ? new Chart(context, config()) : undefined
}

const watched = new MutationObserver(draw)
onMounted(() => {
  draw()
  watched.observe(document.documentElement, { attributes: true, attributeFilter: ['data-theme'] })
})
watch(() => [chart, useAccountCalendar().minutesOfADay], draw)
onBeforeUnmount(() => {
  watched.disconnect()
  drawn?.destroy()
})
</script>

<template>
  <div aria-hidden="true">
    <p v-if="chart.series.length > 1" class="text-ink-soft flex flex-wrap gap-3 text-sm">
      <span v-for="series in chart.series" :key="series.name" class="flex items-center gap-1.5">
        <span
          class="inline-block size-3 rounded-xs border-[1.5px]"
          :style="{
            borderColor: `var(--${series.tone})`,
            background: series.hollow ? 'transparent' : `var(--${series.tone})`,
          }"
        />
        {{ series.name }}
      </span>
    </p>
    <div class="relative" :style="{ height: `${height}px` }">
      <canvas ref="canvas" />
    </div>
  </div>
</template>
