<script setup lang="ts">
import { computed } from 'vue'
import { client } from '@/api/client'
import { run } from '@/api/commands'
import { useWaysToAsk } from '@/api/queries'
import Loading from '@/ui/Loading.vue'
import Note from '@/ui/Note.vue'

/** Ways to ask by which messages were taken to ask that ask nothing; each can be taken for no ask. */
const ways = useWaysToAsk()
const lines = computed(() => ways.data.value ?? [])

/** How many forms go with the one that misled. */
function others(forms: number): string {
  if (forms < 2) {
    return ''
  }
  return forms === 2 ? 'and one more form of ' : `and ${forms - 1} more forms of `
}

function hear(way: string, heard: boolean): void {
  void run((header) => client.PUT('/api/ways-to-ask', { params: { header }, body: { way, heard } }))
}
</script>

<template>
  <h2 class="mt-6 font-semibold">What misled</h2>
  <p class="text-ink-soft mb-3">
    Why messages were taken to ask you something of which you said that they ask nothing: a sentence
    that is read in the same way. What you take for no ask, in all its forms, is not heard any more,
    whoever writes; your messages are then read again.
  </p>
  <Loading v-if="ways.isPending.value" />
  <Note v-else-if="ways.isError.value" title="What misled could not be loaded" problem>
    <p>{{ ways.error.value?.message }}</p>
    <button class="btn mt-2" type="button" @click="ways.refetch()">Try again</button>
  </Note>
  <p v-else-if="lines.length === 0">
    Nothing yet. In Intake, <span class="key">W</span> says of a message that it asks you nothing.
  </p>
  <ul v-else class="bg-surface border-line rounded border">
    <li
      v-for="line in lines"
      :key="line.way"
      class="border-line flex min-h-9 flex-wrap items-center gap-x-4 gap-y-1 border-b px-3 py-1 last:border-0"
      data-test="way"
    >
      <span class="min-w-0 flex-1 wrap-anywhere max-sm:basis-full"
        >as in “{{ line.example }}”
        <span class="text-ink-soft text-sm">{{ others(line.forms) }}{{ line.way }}</span></span
      >
      <span class="text-ink-soft">{{
        line.overruled === 1 ? 'wrong once' : `wrong ${line.overruled} times`
      }}</span>
      <button
        class="btn btn-quiet h-7 px-1.5"
        type="button"
        :aria-label="`${line.unheard ? 'Hear it again' : 'Take for no ask'}: ${line.example}`"
        @click="hear(line.way, line.unheard)"
      >
        {{ line.unheard ? 'Hear it again' : 'Take for no ask' }}
      </button>
    </li>
  </ul>
</template>
