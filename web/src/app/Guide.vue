<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core'
import { storeToRefs } from 'pinia'
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { endGuide, useGuide } from '@/api/guide'
import { GUIDE_STEPS } from '@/app/guideSteps'

/** The first sitting: what stands where, said on the real screen, until it is sent away for good. Covers nothing. */
const route = useRoute()
const router = useRouter()
const { step: guideStep, isGuiding } = storeToRefs(useGuide())
/** The first thing said is whether one wants to hear the others. */
const step = computed(() => GUIDE_STEPS[guideStep.value - 1])
const isThere = computed(() => step.value === undefined || route.path.startsWith(step.value.path))
const ring = ref<DOMRect>()

function look(): void {
  const anchor =
    isGuiding.value && step.value && isThere.value
      ? document.querySelector(step.value.anchor)
      : undefined
  const rect = anchor?.getBoundingClientRect()
  ring.value = rect && rect.width > 0 && rect.height > 0 ? rect : undefined
}
const looking = useIntervalFn(look, 200, { immediate: false })

async function go(to: number): Promise<void> {
  guideStep.value = to
  const next = GUIDE_STEPS[to - 1]
  if (next && !route.path.startsWith(next.path)) {
    await router.push(next.path)
  }
  look()
}

/** Nothing is looked for once it is over. */
watch(
  isGuiding,
  (now) => {
    if (now) {
      looking.resume()
    } else {
      looking.pause()
    }
    look()
  },
  { immediate: true },
)
</script>

<template>
  <aside
    v-if="isGuiding"
    class="bg-brass-wash border-line flex shrink-0 flex-wrap items-center gap-x-3 gap-y-1 border-b px-3 py-1.5 print:hidden"
    aria-label="The views explain themselves"
    data-test="guide"
  >
    <p v-if="!step" class="min-w-0 flex-1 basis-60">
      <b>New here?</b> The views can explain themselves, one after the other; it takes two minutes.
    </p>
    <p v-else class="min-w-0 flex-1 basis-60" aria-live="polite">
      <b>{{ step.title }}</b> {{ step.text }}
    </p>
    <span v-if="step" class="text-ink-soft tabular-nums"
      >{{ guideStep }} of {{ GUIDE_STEPS.length }}</span
    >
    <button
      v-if="guideStep > 1"
      class="btn btn-quiet h-8 max-sm:h-11"
      type="button"
      @click="void go(guideStep - 1)"
    >
      Back
    </button>
    <button v-if="!isThere" class="btn h-8 max-sm:h-11" type="button" @click="void go(guideStep)">
      Go there
    </button>
    <button
      v-if="guideStep < GUIDE_STEPS.length"
      class="btn btn-main h-8 max-sm:h-11"
      type="button"
      data-test="guide-next"
      @click="void go(guideStep + 1)"
    >
      {{ step ? 'Next' : 'Show me' }}
    </button>
    <button
      class="btn h-8 max-sm:h-11"
      :class="guideStep === GUIDE_STEPS.length ? 'btn-main' : 'btn-quiet'"
      type="button"
      data-test="guide-end"
      @click="void endGuide()"
    >
      {{ guideStep === GUIDE_STEPS.length ? 'Done' : 'I know my way' }}
    </button>
  </aside>
  <div
    v-if="ring"
    class="guide-ring"
    aria-hidden="true"
    :style="{
      left: `${ring.left - 4}px`,
      top: `${ring.top - 4}px`,
      width: `${ring.width + 8}px`,
      height: `${ring.height + 8}px`,
    }"
  />
</template>
