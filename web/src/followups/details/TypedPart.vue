<script setup lang="ts" generic="T extends { words?: string | null }">
import { Popover, PopoverButton, PopoverPanel } from '@headlessui/vue'
import { ref } from 'vue'
import { vFocus } from '@/ui/focus'
import { useReadWhileTyped } from '@/ui/readWhileTyped'

/** Something of a follow-up that is said in words, which are read while they are typed. */
const { test, about, example, most, missing, usual, read, set } = defineProps<{
  test: string
  about: string
  example: string
  /** So many characters at the most. */
  most: number
  /** What is said while nothing is understood. */
  missing: string
  /** What is often said. */
  usual: readonly string[]
  read: (words: string) => Promise<T>
  /** Answers whether it is done. */
  set: (words: string, understood: () => Promise<T | undefined>) => Promise<boolean>
}>()

const typed = ref('')
const { read: now, problem, understood } = useReadWhileTyped(typed, (words) => read(words))

async function choose(words: string, close: () => void): Promise<void> {
  if (await set(words, () => understood(words))) {
    typed.value = ''
    close()
  }
}
</script>

<template>
  <Popover class="relative inline-block">
    <PopoverButton class="part inline-flex items-center gap-1" :data-test="test">
      <slot name="button" />
    </PopoverButton>
    <PopoverPanel
      v-slot="{ close }"
      class="floating absolute top-full left-0 z-30 mt-1 w-80 max-w-[90vw] p-3"
      data-keys="own"
    >
      <slot name="set" />
      <label>
        <span class="text-ink-soft">{{ about }}</span>
        <input
          v-model="typed"
          v-focus
          class="field mt-1"
          :maxlength="most"
          :placeholder="example"
          :data-test="`${test}-typed`"
          @keydown.enter.prevent.stop="void choose(typed, close)"
        />
      </label>
      <p class="mt-1 mb-1 min-h-5 text-sm" aria-live="polite" :data-test="`${test}-read`">
        <template v-if="now?.words">{{ now.words }} <span class="key">Enter</span></template>
        <span v-else-if="now" class="text-brass-ink">{{ missing }}</span>
        <span v-else-if="problem !== ''" class="text-brass-ink">{{ problem }}</span>
      </p>
      <button
        v-for="words in usual"
        :key="words"
        type="button"
        class="hover:bg-kelp-wash block h-8 w-full truncate rounded px-2 text-left max-sm:h-11"
        @click="void choose(words, close)"
      >
        {{ words }}
      </button>
      <slot name="below" :close="close" />
    </PopoverPanel>
  </Popover>
</template>
