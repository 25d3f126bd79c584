<script setup lang="ts">
import { Popover, PopoverButton, PopoverPanel } from '@headlessui/vue'
import { Hourglass } from '@lucide/vue'
import { computed, ref } from 'vue'
import { client, unwrap, type FollowUpLine } from '@/api/client'
import { NOTHING, waitFor, waitingText, type WaitsFor } from '@/followups/waiting'
import { vFocus } from '@/ui/focus'
import { useReadWhileTyped } from '@/ui/readWhileTyped'

/** For whom, where or until when a follow-up waits, set in words. */
const { line } = defineProps<{ line: FollowUpLine }>()

const waits = computed(() => (line.waiting && !line.back ? waitingText(line.waiting) : ''))
const typed = ref('')
const usual = computed(() => [
  ...line.people
    .slice(0, 3)
    .map((person) => `until ${(person.name || person.address).split(' ')[0] ?? ''} writes`),
  ...(line.messageId ? ['until somebody answers in the thread'] : []),
  'until tomorrow',
])
const { read, problem, understood } = useReadWhileTyped(typed, (words) =>
  unwrap(
    client.POST('/api/follow-ups/{id}/waiting/read', {
      params: { path: { id: line.id } },
      body: { words },
    }),
  ),
)

async function set(words: string, close: () => void): Promise<void> {
  const meant = await understood(words)
  if (meant?.words) {
    await wait({ person: meant.person, threadId: meant.threadId, until: meant.until }, close)
  }
}

async function wait(what: WaitsFor, close: () => void): Promise<void> {
  if (await waitFor(line, what)) {
    typed.value = ''
    close()
  }
}
</script>

<template>
  <Popover class="relative inline-block">
    <PopoverButton class="part inline-flex items-center gap-1" data-test="wait">
      <Hourglass v-if="waits" :size="13" aria-hidden="true" />
      {{ waits ? `waits ${waits}` : 'waits for nothing' }}
    </PopoverButton>
    <PopoverPanel
      v-slot="{ close }"
      class="floating absolute top-full left-0 z-30 mt-1 w-80 max-w-[90vw] p-3"
      data-keys="own"
    >
      <label>
        <span class="text-ink-soft">Out of the way</span>
        <input
          v-model="typed"
          v-focus
          class="field mt-1"
          maxlength="120"
          placeholder="until Bob has answered, at the latest Monday"
          data-test="wait-typed"
          @keydown.enter.prevent.stop="void set(typed, close)"
        />
      </label>
      <p class="mt-1 mb-1 min-h-5 text-sm" aria-live="polite" data-test="wait-read">
        <template v-if="read?.words">{{ read.words }} <span class="key">Enter</span></template>
        <span v-else-if="read" class="text-brass-ink">Say for whom, or until when.</span>
        <span v-else-if="problem !== ''" class="text-brass-ink">{{ problem }}</span>
      </p>
      <button
        v-for="words in usual"
        :key="words"
        type="button"
        class="hover:bg-kelp-wash block h-8 w-full truncate rounded px-2 text-left max-sm:h-11"
        @click="void set(words, close)"
      >
        {{ words }}
      </button>
      <button
        v-if="waits"
        type="button"
        class="hover:bg-kelp-wash block h-8 w-full truncate rounded px-2 text-left max-sm:h-11"
        data-test="wait-no-longer"
        @click="void wait(NOTHING, close)"
      >
        Wait no longer
      </button>
    </PopoverPanel>
  </Popover>
</template>
