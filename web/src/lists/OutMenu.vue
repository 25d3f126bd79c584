<script setup lang="ts">
import { ref } from 'vue'
import { client, unwrap, type ListForm } from '@/api/client'
import { run } from '@/api/commands'
import { showProblem } from '@/api/toasts'
import { saveBlob } from '@/files/saveFile'
import Floating from '@/ui/Floating.vue'

/** The way out of a list as it is seen: on paper, to somebody, as a table for other programs. */
const { list } = defineProps<{
  /** What stands in the list now. */
  list: () => ListForm
}>()

const to = ref('')
const words = ref('')
const sending = ref(false)

function print(close: () => void): void {
  close()
  setTimeout(() => {
    window.print()
  })
}

async function mail(close: () => void): Promise<void> {
  sending.value = true
  const done = await run((header) =>
    client.POST('/api/lists/mail', {
      params: { header },
      body: { to: to.value.trim(), list: { ...list(), words: words.value } },
    }),
  )
  sending.value = false
  if (done) {
    words.value = ''
    close()
  }
}

async function save(close: () => void): Promise<void> {
  try {
    const table = list()
    const content = await unwrap(
      client.POST('/api/lists/csv', { body: table, parseAs: 'blob' as const }),
    )
    saveBlob(content, `${table.title}.csv`)
    close()
  } catch (problem) {
    showProblem(problem)
  }
}
</script>

<template>
  <Floating test="list-out" quiet>
    <template #button>Print, mail, save …</template>
    <template #default="{ close }">
      <div class="w-80 space-y-3" data-test="list-out-panel">
        <div class="flex gap-2">
          <button class="btn" type="button" data-test="list-print" @click="print(close)">
            Print
          </button>
          <button class="btn" type="button" data-test="list-csv" @click="void save(close)">
            Save as a table (CSV)
          </button>
        </div>
        <form class="space-y-1.5" @submit.prevent="void mail(close)">
          <label class="block"
            ><span class="font-semibold">Mail it to</span>
            <input
              v-model="to"
              class="field"
              type="email"
              required
              maxlength="320"
              placeholder="name@…"
              data-test="list-to"
            />
          </label>
          <label class="block"
            ><span class="text-ink-soft">with the words</span>
            <textarea
              v-model="words"
              class="field h-16 resize-y p-2"
              maxlength="10000"
              data-test="list-words"
            />
          </label>
          <button class="btn btn-main" type="submit" :disabled="sending" data-test="list-mail">
            Mail it
          </button>
        </form>
        <slot />
      </div>
    </template>
  </Floating>
</template>
