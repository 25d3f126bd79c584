<script setup lang="ts">
import { ref } from 'vue'
import { client, unwrap } from '@/api/client'
import { vFocus } from '@/ui/focus'
import { useReadWhileTyped } from '@/ui/readWhileTyped'
import { day } from '@/ui/time'

/** A rhythm: typed in words, read while it is typed, or one of the usual ones. */
const { chosen } = defineProps<{ chosen: string }>()
const emit = defineEmits<{ choose: [words: string] }>()

const USUAL = [
  'every working day',
  'every week',
  'every 2 weeks',
  'every month',
  'last working day of the month',
  'every year',
] as const
const typed = ref(chosen)
const { read, problem, understood } = useReadWhileTyped(typed, (words) =>
  unwrap(client.POST('/api/repetition/read', { body: { words } })),
)

async function take(words: string): Promise<void> {
  const now = await understood(words)
  read.value = now
  if (now && now.days.length > 0) {
    emit('choose', now.words)
  }
}
</script>

<template>
  <label>
    <span class="text-ink-soft">When it is done, it comes back</span>
    <input
      v-model="typed"
      v-focus
      class="field mt-1"
      maxlength="200"
      placeholder="every second Tuesday"
      data-test="rhythm-typed"
      @keydown.enter.prevent.stop="void take(typed)"
    />
  </label>
  <p class="mt-1.5 mb-1 min-h-10 text-sm" aria-live="polite" data-test="rhythm-read">
    <template v-if="read && read.days.length > 0">
      {{ read.days.map((each) => day(each)).join(', ') }} … <span class="key">Enter</span>
    </template>
    <span v-else-if="read && read.words !== ''" class="text-brass-ink"
      >No day is ever like that.</span
    >
    <span v-else-if="problem !== ''" class="text-brass-ink">{{ problem }}</span>
    <span v-else class="text-ink-soft"
      >In words: “every month on the 1st, not on days off, until June”, “3 weeks after it is
      done”.</span
    >
  </p>
  <button
    v-for="words in USUAL"
    :key="words"
    type="button"
    class="hover:bg-kelp-wash block h-8 w-full truncate rounded px-2 text-left"
    @click="void take(words)"
  >
    {{ words }}
  </button>
  <button
    type="button"
    class="hover:bg-kelp-wash block h-8 w-full rounded px-2 text-left"
    data-test="rhythm-once"
    @click="emit('choose', '')"
  >
    {{ chosen === '' ? 'once' : 'no more: the series ends, what was done stays' }}
  </button>
</template>
