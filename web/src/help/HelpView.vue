<script setup lang="ts">
import { computed, ref, useTemplateRef, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { startGuide } from '@/api/guide'
import { withKeys } from '@/help/keysIn'
import { TOPICS, topicsWith } from '@/help/topics'
import view from '@/help/view'
import KeyHint from '@/ui/KeyHint.vue'
import { useKeys } from '@/ui/keys'
import MarkdownText from '@/ui/MarkdownText.vue'
import Note from '@/ui/Note.vue'
import { addressOf, VIEWS } from '@/ui/views'

/** How-tos, looked up by words. */
const route = useRoute()
const router = useRouter()
const words = ref('')
const field = useTemplateRef<HTMLInputElement>('field')
const found = computed(() => topicsWith(words.value))
const shown = computed(
  () =>
    found.value.find((topic) => topic.slug === route.params.topic) ??
    (words.value !== '' || route.params.topic === undefined ? found.value[0] : undefined) ??
    TOPICS.find((topic) => topic.slug === route.params.topic),
)
const MAIN = VIEWS.filter((each) => each.inBar !== false || each.key !== undefined)

function open(slug: string | undefined): void {
  if (slug !== undefined) {
    void router.replace(`/help/${slug}`)
  }
}

function step(by: number): void {
  const place = found.value.findIndex((topic) => topic.slug === shown.value?.slug)
  open(found.value[Math.min(Math.max(place + by, 0), found.value.length - 1)]?.slug)
}

watch(words, () => {
  open(found.value[0]?.slug)
})

async function guide(): Promise<void> {
  await startGuide()
  await router.push('/intake')
}

useKeys(view.name, [
  {
    ...view.keys.next,
    run: () => {
      step(1)
    },
  },
  {
    ...view.keys.before,
    run: () => {
      step(-1)
    },
  },
  { ...view.keys.look, run: () => field.value?.focus() },
])
</script>

<template>
  <div class="flex h-full flex-col sm:flex-row">
    <nav
      class="border-line flex max-h-[45%] shrink-0 flex-col border-b sm:max-h-none sm:w-80 sm:border-r sm:border-b-0"
      aria-label="How-tos"
    >
      <div class="p-3">
        <h1 class="mb-1.5 text-lg font-semibold">Help</h1>
        <label class="relative block">
          <span class="sr-only">Look for a word</span>
          <input
            ref="field"
            v-model="words"
            class="field h-9 w-full max-sm:h-11"
            type="search"
            placeholder="Look for a word"
            autocomplete="off"
            data-test="help-words"
            @keydown.down.prevent="step(1)"
            @keydown.up.prevent="step(-1)"
          />
          <KeyHint
            v-if="words === ''"
            class="absolute top-2 right-2 max-sm:hidden"
            :group="view.name"
            :does="view.keys.look.does"
            or="L"
          />
        </label>
      </div>
      <ul class="min-h-0 flex-1 overflow-y-auto px-1.5 pb-3" data-test="topics">
        <li v-for="topic in found" :key="topic.slug">
          <RouterLink
            :to="`/help/${topic.slug}`"
            replace
            class="block rounded px-2 py-1 max-sm:py-2.5"
            :class="topic === shown ? 'bg-kelp-wash text-kelp font-semibold' : 'hover:text-kelp'"
            :aria-current="topic === shown ? 'page' : undefined"
            >{{ topic.title }}</RouterLink
          >
        </li>
      </ul>
    </nav>
    <div class="min-h-0 min-w-0 flex-1 overflow-y-auto px-4 py-4 sm:px-10">
      <Note v-if="!shown" title="No how-to has these words">
        <p>Try another word, or a shorter one.</p>
        <button class="btn" type="button" @click="words = ''">Show all</button>
      </Note>
      <article v-else class="max-w-prose" data-test="how-to">
        <h2 class="mb-2 text-lg font-semibold">{{ shown.title }}</h2>
        <MarkdownText :text="withKeys(shown.text)" flows />
        <p v-if="shown.to" class="mt-4">
          <RouterLink class="btn" :to="shown.to">Go there</RouterLink>
        </p>
      </article>
      <section class="border-line mt-8 max-w-prose border-t pt-3">
        <h2 class="mb-1 font-semibold">What each view is for</h2>
        <dl>
          <div v-for="each in MAIN" :key="each.name" class="grid py-0.5 sm:grid-cols-[7rem_1fr]">
            <dt>
              <RouterLink class="text-kelp underline" :to="addressOf(each)">{{
                each.name
              }}</RouterLink>
              <span v-if="each.key" class="key ml-1.5">{{ each.key }}</span>
            </dt>
            <dd class="text-ink-soft">{{ each.about }}</dd>
          </div>
        </dl>
        <p class="mt-4">
          <button class="btn" type="button" data-test="guide-again" @click="void guide()">
            Let the views explain themselves again
          </button>
        </p>
      </section>
    </div>
  </div>
</template>
