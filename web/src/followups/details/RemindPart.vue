<script setup lang="ts">
import { Bell } from '@lucide/vue'
import { computed } from 'vue'
import { client, newId, unwrap } from '@/api/client'
import { run } from '@/api/commands'
import { useRemindersOf } from '@/api/queries'
import TypedPart from '@/followups/details/TypedPart.vue'

/** The reminders of a follow-up, set in words. */
const { followUpId, dated } = defineProps<{ followUpId: string; dated: boolean }>()

const reminders = useRemindersOf(() => followUpId)
const waiting = computed(() => (reminders.data.value ?? []).filter((each) => !each.shown))
const usual = computed(() => [
  'in 1 h',
  'tomorrow 9',
  ...(dated ? ['1 hour before', '1 day before'] : []),
  'when somebody answers',
])

const read = (words: string) => unwrap(client.POST('/api/reminders/read', { body: { words } }))

async function set(words: string): Promise<boolean> {
  const reminderId = newId()
  const done = await run((header) =>
    client.POST('/api/follow-ups/{id}/reminders/{reminderId}', {
      params: { path: { id: followUpId, reminderId }, header },
      body: { words },
    }),
  )
  return done !== undefined
}

function remove(id: string): void {
  void run((header) => client.DELETE('/api/reminders/{id}', { params: { path: { id }, header } }))
}
</script>

<template>
  <TypedPart
    test="remind"
    about="Remind me"
    example="tomorrow 9, 1 hour before"
    :most="80"
    missing="No time ahead yet."
    :usual="usual"
    :read="read"
    :set="set"
  >
    <template #button>
      <Bell v-if="waiting.length" :size="13" aria-hidden="true" />
      {{ waiting.length ? waiting.map((each) => each.words).join(' · ') : 'no reminder' }}
    </template>
    <template #set>
      <ul v-if="waiting.length" class="border-line mb-2 border-b pb-2">
        <li v-for="each in waiting" :key="each.id" class="flex items-center justify-between gap-2">
          {{ each.words }}
          <button
            class="btn btn-quiet h-7 px-1.5 max-sm:h-11"
            type="button"
            :aria-label="`No reminder ${each.words}`"
            @click="remove(each.id)"
          >
            Remove
          </button>
        </li>
      </ul>
    </template>
  </TypedPart>
</template>
