<script setup lang="ts">
import type { QuickChoice } from '@/api/client'
import type { AskRow } from '@/intake/asks'
import ReplyByControl from '@/ui/ReplyByControl.vue'

/** One follow-up for each thing that a message asks. */
const { choices } = defineProps<{ choices: readonly QuickChoice[] }>()
const rows = defineModel<AskRow[]>({ required: true })

function put(i: number, changed: Partial<AskRow>): void {
  rows.value = rows.value.map((row, place) => (place === i ? { ...row, ...changed } : row))
}
</script>

<template>
  <ul class="max-h-72 space-y-1.5 overflow-auto" data-test="each-ask">
    <li
      v-for="(row, i) in rows"
      :key="i"
      class="grid grid-cols-[20px_1fr] gap-x-2"
      :class="row.wanted ? '' : 'opacity-60'"
    >
      <input
        type="checkbox"
        class="mt-2"
        :checked="row.wanted"
        :data-letter="i < 9 ? String(i + 1) : undefined"
        :aria-label="`Make: ${row.title}`"
        @change="put(i, { wanted: !row.wanted })"
      />
      <div class="min-w-0">
        <div class="flex flex-wrap items-center gap-x-2 gap-y-1">
          <input
            class="field min-w-40 flex-1 basis-80 font-semibold"
            :value="row.title"
            maxlength="300"
            aria-label="What is to be done"
            @input="(event) => put(i, { title: (event.target as HTMLInputElement).value })"
          />
          <span>by</span>
          <ReplyByControl
            :day="row.replyDay"
            :time="row.replyTime"
            :firm="row.firm"
            :choices="choices"
            brief
            @update:day="(replyDay) => put(i, { replyDay })"
            @update:time="(replyTime) => put(i, { replyTime })"
            @update:firm="(firm) => put(i, { firm })"
          />
        </div>
        <p class="text-ink-soft truncate text-sm" :title="row.sentence">“{{ row.sentence }}”</p>
      </div>
    </li>
  </ul>
</template>
