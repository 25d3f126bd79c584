<script setup lang="ts">
import { Popover, PopoverButton, PopoverPanel } from '@headlessui/vue'
import { Quote } from '@lucide/vue'
import { computed, ref } from 'vue'
import { usePhrases } from '@/api/queries'
import { vFocus } from '@/ui/focus'

/** The saved phrases: a few letters find one, Enter takes it. */
const emit = defineEmits<{ take: [text: string] }>()
const phrases = usePhrases()
const letters = ref('')
const found = computed(() =>
  (phrases.data.value ?? []).filter((phrase) =>
    `${phrase.name} ${phrase.text}`.toLowerCase().includes(letters.value.trim().toLowerCase()),
  ),
)

function take(text: string | undefined, close: () => void): void {
  if (text !== undefined) {
    letters.value = ''
    close()
    emit('take', text)
  }
}
</script>

<template>
  <Popover class="relative inline-block">
    <PopoverButton class="btn h-7 px-2" data-test="phrases">
      <Quote :size="14" aria-hidden="true" /> Phrases
    </PopoverButton>
    <PopoverPanel
      v-slot="{ close }"
      class="floating absolute bottom-full left-0 z-30 mb-1 w-80 max-w-[calc(100vw-24px)] p-2"
      data-keys="own"
    >
      <input
        v-model="letters"
        v-focus
        class="field"
        maxlength="60"
        placeholder="A few letters"
        aria-label="Find a phrase"
        @keydown.enter.prevent.stop="take(found[0]?.text, close)"
      />
      <ul class="mt-1 max-h-64 overflow-auto">
        <li v-for="phrase in found" :key="phrase.id">
          <button
            type="button"
            class="hover:bg-kelp-wash w-full rounded px-2 py-1 text-left"
            @click="take(phrase.text, close)"
          >
            <b>{{ phrase.name }}</b>
            <span class="text-ink-soft line-clamp-1">{{ phrase.text }}</span>
          </button>
        </li>
      </ul>
      <p v-if="found.length === 0" class="text-ink-soft px-2 py-1">
        {{ phrases.data.value?.length ? 'None has these letters.' : 'No phrase is saved yet.' }}
      </p>
      <RouterLink class="text-kelp block px-2 py-1 underline" to="/settings/phrases"
        >Write phrases</RouterLink
      >
    </PopoverPanel>
  </Popover>
</template>
