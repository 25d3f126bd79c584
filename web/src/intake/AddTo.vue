<script setup lang="ts">
import { computed, onMounted, ref, useTemplateRef } from 'vue'
import type { MessageView } from '@/api/client'
import { useFollowUps } from '@/api/followUpQueries'
import { matching } from '@/intake/matching'
import { replyBy } from '@/ui/time'

/** Finds an open follow-up by a few letters, those of the same thread first, to add the message to it. */
const { message } = defineProps<{ message: MessageView }>()
const emit = defineEmits<{ add: [followUpId: string]; make: []; cancel: [] }>()

const followUps = useFollowUps()
const text = ref('')
const place = ref(0)
const input = useTemplateRef<HTMLInputElement>('input')
const here = computed(() => message.followUps.filter((each) => each.open && !each.linked))
const found = computed(() =>
  matching(
    followUps.data.value?.open ?? [],
    text.value,
    new Set(here.value.map((each) => each.id)),
    new Set(message.followUps.filter((each) => each.linked).map((each) => each.id)),
  ),
)

onMounted(() => input.value?.focus())

function move(by: 1 | -1): void {
  place.value = Math.min(Math.max(place.value + by, 0), Math.max(found.value.length - 1, 0))
}

function take(): void {
  const chosen = found.value[place.value]
  if (chosen) {
    emit('add', chosen.id)
  }
}
</script>

<template>
  <form
    data-test="add-to"
    data-keys="own"
    @submit.prevent="take"
    @keydown.esc.stop="emit('cancel')"
    @keydown.down.prevent="move(1)"
    @keydown.up.prevent="move(-1)"
  >
    <p class="mb-1.5">
      <b>{{ here.length ? 'This thread is followed up already' : 'Add to a follow-up' }}</b>
    </p>
    <input
      ref="input"
      v-model="text"
      class="field"
      placeholder="A few letters of its title or of whom it is from"
      aria-label="Find a follow-up"
      autocomplete="off"
      maxlength="100"
      role="combobox"
      aria-expanded="true"
      aria-controls="add-to-list"
      :aria-activedescendant="found.length ? `add-to-${place}` : undefined"
      @input="place = 0"
    />
    <ul id="add-to-list" class="mt-1 mb-2" role="listbox" aria-label="Follow-ups">
      <li
        v-for="(one, i) in found"
        :id="`add-to-${i}`"
        :key="one.id"
        class="flex h-8 cursor-pointer items-center justify-between gap-3 rounded px-2"
        :class="i === place ? 'bg-kelp-wash' : 'hover:bg-surface'"
        role="option"
        :aria-selected="i === place"
        @click="emit('add', one.id)"
      >
        <span class="truncate"
          ><b>{{ one.title }}</b> <span class="text-ink-soft">{{ one.from }}</span></span
        >
        <span class="text-ink-soft whitespace-nowrap">{{
          one.replyDay ? replyBy(one.replyDay, one.replyTime) : 'no date'
        }}</span>
      </li>
      <li v-if="found.length === 0" class="text-ink-soft px-2" role="presentation">
        No open follow-up has these letters.
      </li>
    </ul>
    <div class="flex flex-wrap justify-end gap-2">
      <button class="btn btn-quiet" type="button" @click="emit('cancel')">
        Cancel <span class="key">Esc</span>
      </button>
      <button class="btn" type="button" data-test="make-new" @click="emit('make')">
        New follow-up
      </button>
      <button class="btn btn-main" type="submit" :disabled="found.length === 0">
        Add to it <span class="key">Enter</span>
      </button>
    </div>
  </form>
</template>
