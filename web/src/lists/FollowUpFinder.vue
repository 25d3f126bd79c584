<script setup lang="ts">
import { computed, ref } from 'vue'
import type { FollowUpLine } from '@/api/client'
import { useFollowUps } from '@/api/followUpQueries'
import { vFocus } from '@/ui/focus'

/** Finds an open follow-up by a few letters. */
const { without = new Set<string>() } = defineProps<{
  /** Those that are not meant. */
  without?: ReadonlySet<string>
}>()
const emit = defineEmits<{ take: [line: FollowUpLine]; close: [] }>()

const MOST = 8
const followUps = useFollowUps()
const text = ref('')
const place = ref(0)
const found = computed(() => {
  const words = text.value.toLowerCase().split(/\s+/).filter(Boolean)
  const data = followUps.data.value
  return [...(data?.open ?? []), ...(data?.waiting ?? []), ...(data?.later ?? [])]
    .filter((line) => !without.has(line.id))
    .filter((line) => words.every((word) => line.title.toLowerCase().includes(word)))
    .slice(0, MOST)
})

function move(by: 1 | -1): void {
  place.value = Math.min(Math.max(place.value + by, 0), Math.max(found.value.length - 1, 0))
}

function take(line: FollowUpLine | undefined): void {
  if (line) {
    emit('take', line)
  }
}
</script>

<template>
  <form
    class="border-line-strong max-w-xl space-y-1.5 rounded border p-2"
    data-keys="own"
    data-test="follow-up-finder"
    @submit.prevent="take(found[place])"
    @keydown.esc.stop="emit('close')"
    @keydown.down.prevent="move(1)"
    @keydown.up.prevent="move(-1)"
  >
    <div class="flex flex-wrap items-center gap-2">
      <input
        v-model="text"
        v-focus
        class="field h-8 min-w-40 flex-1"
        placeholder="A few letters of a follow-up"
        aria-label="Find a follow-up"
        autocomplete="off"
        maxlength="100"
        role="combobox"
        aria-expanded="true"
        aria-controls="finder-list"
        :aria-activedescendant="found.length ? `found-${place}` : undefined"
        data-test="find-follow-up"
        @input="place = 0"
      />
      <slot />
    </div>
    <ul id="finder-list" role="listbox" aria-label="Follow-ups">
      <li
        v-for="(one, i) in found"
        :id="`found-${i}`"
        :key="one.id"
        class="h-7 cursor-pointer truncate rounded px-2 leading-7 max-sm:h-11 max-sm:leading-11"
        :class="i === place ? 'bg-kelp-wash' : ''"
        role="option"
        :aria-selected="i === place"
        @click="take(one)"
      >
        {{ one.title }}
      </li>
      <li v-if="found.length === 0" class="text-ink-soft px-2" role="presentation">
        No open follow-up has these letters.
      </li>
    </ul>
    <div class="flex justify-end gap-2">
      <button class="btn btn-quiet h-8" type="button" @click="emit('close')">
        Cancel <span class="key">Esc</span>
      </button>
      <button class="btn btn-main h-8" type="submit" :disabled="found.length === 0">
        Take it <span class="key">Enter</span>
      </button>
    </div>
  </form>
</template>
