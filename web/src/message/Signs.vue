<script setup lang="ts">
import { SmilePlus } from '@lucide/vue'
import { ref } from 'vue'
import { client, type ThreadMessage } from '@/api/client'
import { run } from '@/api/commands'
import Floating from '@/ui/Floating.vue'

/** The signs on a chat message; mine are taken off by pressing them, and another one is put on it. */
const { message } = defineProps<{ message: ThreadMessage }>()

const OFFERED = [
  { sign: '👍', meaning: 'agreed' },
  { sign: '✅', meaning: 'done' },
  { sign: '👀', meaning: 'looking at it' },
  { sign: '🙏', meaning: 'thank you' },
  { sign: '❌', meaning: 'no' },
]
const typed = ref('')

/** A second press while the first is under way would be a second sign. */
const busy = ref(false)

async function once(change: () => Promise<unknown>): Promise<void> {
  if (!busy.value) {
    busy.value = true
    await change()
    busy.value = false
  }
}

const put = (sign: string) =>
  once(() =>
    run((header) =>
      client.POST('/api/messages/{id}/reactions', {
        params: { path: { id: message.id }, header },
        body: { sign },
      }),
    ),
  )
const takeOff = (sign: string) =>
  once(() =>
    run((header) =>
      client.DELETE('/api/messages/{id}/reactions', {
        params: { path: { id: message.id }, query: { sign }, header },
      }),
    ),
  )

function choose(sign: string, close: () => void): void {
  close()
  typed.value = ''
  if (sign !== '') {
    void put(sign)
  }
}
</script>

<template>
  <div
    v-if="message.reactions.length || message.canReact"
    class="mt-1 -ml-2 flex flex-wrap items-center gap-1 print:mt-0"
  >
    <button
      v-for="each in message.reactions"
      :key="each.sign"
      type="button"
      class="part min-w-9 justify-center"
      :aria-pressed="each.mine"
      :aria-label="`${each.sign} by ${each.by.join(', ')}`"
      :title="each.by.join(', ')"
      data-test="sign"
      @click="each.mine ? void takeOff(each.sign) : void put(each.sign)"
    >
      {{ each.sign }} <span v-if="each.by.length > 1" class="ml-1">{{ each.by.length }}</span>
    </button>
    <Floating v-if="message.canReact" test="react" quiet>
      <template #button>
        <SmilePlus :size="16" aria-hidden="true" class="text-ink-soft" />
        <span class="sr-only">React to this message</span>
      </template>
      <template #default="{ close }">
        <div class="flex w-48 flex-col">
          <button
            v-for="each in OFFERED"
            :key="each.sign"
            type="button"
            class="hover:bg-kelp-wash flex h-9 items-center gap-2 rounded px-2 text-left"
            :data-sign="each.sign"
            @click="choose(each.sign, close)"
          >
            <span class="w-6">{{ each.sign }}</span> {{ each.meaning }}
          </button>
          <input
            v-model.trim="typed"
            class="field mt-1"
            maxlength="40"
            placeholder="another sign"
            aria-label="Another sign"
            autocomplete="off"
            @keydown.enter.prevent="choose(typed, close)"
          />
        </div>
      </template>
    </Floating>
  </div>
</template>
