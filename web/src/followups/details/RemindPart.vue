<script setup lang="ts">
import { Popover, PopoverButton, PopoverPanel } from '@headlessui/vue'
import { Bell } from '@lucide/vue'
import { computed, ref } from 'vue'
import { client, newId, unwrap } from '@/api/client'
import { run } from '@/api/commands'
import { useRemindersOf } from '@/api/queries'
import { vFocus } from '@/ui/focus'
import { useReadWhileTyped } from '@/ui/readWhileTyped'

/** The reminders of a follow-up, set in words. */
const { followUpId, dated } = defineProps<{ followUpId: string; dated: boolean }>()

const reminders = useRemindersOf(() => followUpId)
const waiting = computed(() => (reminders.data.value ?? []).filter((each) => !each.shown))
const typed = ref('')
const usual = computed(() => [
  'in 1 h',
  'tomorrow 9',
  ...(dated ? ['1 hour before', '1 day before'] : []),
  'when somebody answers',
])

const { read, problem } = useReadWhileTyped(typed, (words) =>
  unwrap(client.POST('/api/reminders/read', { body: { words } })),
)

async function set(words: string, close: () => void): Promise<void> {
  const reminderId = newId()
  const done = await run((header) =>
    client.POST('/api/follow-ups/{id}/reminders/{reminderId}', {
      params: { path: { id: followUpId, reminderId }, header },
      body: { words },
    }),
  )
  if (done) {
    typed.value = ''
    close()
  }
}

function remove(id: string): void {
  void run((header) => client.DELETE('/api/reminders/{id}', { params: { path: { id }, header } }))
}
</script>

<template>
  <Popover class="relative inline-block">
    <PopoverButton class="part inline-flex items-center gap-1" data-test="remind">
      <Bell v-if="waiting.length" :size="13" aria-hidden="true" />
      {{ waiting.length ? waiting.map((each) => each.words).join(' · ') : 'no reminder' }}
    </PopoverButton>
    <PopoverPanel
      v-slot="{ close }"
      class="floating absolute top-full left-0 z-30 mt-1 w-72 max-w-[90vw] p-3"
      data-keys="own"
    >
      <ul v-if="waiting.length" class="border-line mb-2 border-b pb-2">
        <li v-for="each in waiting" :key="each.id" class="flex items-center justify-between gap-2">
          {{ each.words }}
          <button
            class="btn btn-quiet h-7 px-1.5"
            type="button"
            :aria-label="`No reminder ${each.words}`"
            @click="remove(each.id)"
          >
            Remove
          </button>
        </li>
      </ul>
      <label>
        <span class="text-ink-soft">Remind me</span>
        <input
          v-model="typed"
          v-focus
          class="field mt-1"
          maxlength="80"
          placeholder="tomorrow 9, 1 hour before"
          data-test="remind-typed"
          @keydown.enter.prevent.stop="void set(typed, close)"
        />
      </label>
      <p class="mt-1 mb-1 min-h-5 text-sm" aria-live="polite" data-test="remind-read">
        <template v-if="read?.words">{{ read.words }} <span class="key">Enter</span></template>
        <span v-else-if="read" class="text-brass-ink">No time ahead yet.</span>
        <span v-else-if="problem !== ''" class="text-brass-ink">{{ problem }}</span>
      </p>
      <button
        v-for="words in usual"
        :key="words"
        type="button"
        class="hover:bg-kelp-wash block h-8 w-full truncate rounded px-2 text-left"
        @click="void set(words, close)"
      >
        {{ words }}
      </button>
    </PopoverPanel>
  </Popover>
</template>
