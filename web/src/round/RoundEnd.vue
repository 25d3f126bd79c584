<script setup lang="ts">
import { computed } from 'vue'
import { useAhead } from '@/api/queries'
import { openCapture } from '@/capture/open'
import type { WalkView } from '@/api/client'
import { finish } from '@/round/decide'
import { STEPS } from '@/round/steps'
import { effortText } from '@/ui/effort'
import { day } from '@/ui/time'

/** The end of the walk: what was forgotten, and what the week ahead looks like. */
const { round } = defineProps<{ round: WalkView }>()
const emit = defineEmits<{ go: [step: WalkView['step']] }>()

const WEEK = 7
const ahead = useAhead(WEEK)
const days = computed(() => ahead.data.value?.days ?? [])
const most = computed(() =>
  Math.max(1, ...days.value.map((each) => Math.max(each.roomMinutes, each.plannedMinutes))),
)
const open = computed(() => round.steps.filter((each) => each.left > 0 && each.step !== 'AHEAD'))

function plan(): void {
  openCapture({ title: 'Weekly round every Friday, 30 min', url: '', text: '' })
}
</script>

<template>
  <div class="min-h-0 flex-1 overflow-y-auto px-3 pb-10" data-test="round-end">
    <p v-if="round.forgotten === 0" class="text-lg font-semibold" data-test="nothing-forgotten">
      Nothing is undated, nothing is forgotten.
    </p>
    <template v-else>
      <p class="text-lg font-semibold">
        {{ round.forgotten === 1 ? 'One line was' : `${round.forgotten} lines were` }} passed over.
      </p>
      <p class="text-ink-soft">They will be easily forgotten:</p>
      <ul class="my-2 flex flex-wrap gap-2">
        <li v-for="each in open" :key="each.step">
          <button class="btn max-sm:h-11" type="button" @click="emit('go', each.step)">
            {{ STEPS[each.step].name }} · {{ each.left }}
          </button>
        </li>
      </ul>
    </template>
    <h3 class="border-line-strong mt-5 mb-1 border-b font-semibold">The week ahead</h3>
    <ul data-test="round-ahead">
      <li
        v-for="each in days"
        :key="each.day"
        class="border-line grid grid-cols-[7rem_minmax(0,1fr)_9rem] items-center gap-3 border-b py-1.5 max-sm:grid-cols-[6rem_minmax(0,1fr)]"
      >
        <RouterLink
          class="hover:text-kelp underline"
          :to="{ name: 'ahead', params: { id: each.day } }"
          >{{ day(each.day) }}</RouterLink
        >
        <span class="bg-surface border-line relative h-4 overflow-hidden rounded border">
          <span
            class="bg-kelp-wash absolute inset-y-0 left-0"
            :style="{ width: `${(each.roomMinutes * 100) / most}%` }"
          />
          <span
            class="absolute inset-y-1 left-0"
            :class="each.plannedMinutes > each.roomMinutes ? 'bg-brass' : 'bg-kelp'"
            :style="{ width: `${(each.plannedMinutes * 100) / most}%` }"
          />
        </span>
        <span class="text-sm max-sm:col-span-2" :class="each.off ? 'text-ink-soft' : ''">{{
          each.off
            ? each.off
            : `${effortText(each.plannedMinutes)} of ${effortText(each.roomMinutes)}`
        }}</span>
      </li>
    </ul>
    <p class="mt-4 flex flex-wrap gap-2">
      <button
        class="btn btn-main max-sm:h-11"
        type="button"
        data-test="round-finish"
        @click="void finish()"
      >
        The round is done
      </button>
      <button class="btn max-sm:h-11" type="button" data-test="round-plan" @click="plan">
        Plan it for every week …
      </button>
    </p>
  </div>
</template>
