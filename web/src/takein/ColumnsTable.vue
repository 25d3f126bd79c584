<script setup lang="ts">
import type { FileLookedAt } from '@/api/client'
import { COLUMN_WORDS, type Column } from '@/takein/taking'

/** The columns of a table with what stands in them, each to be assigned. */
const { table } = defineProps<{ table: NonNullable<FileLookedAt['table']> }>()
const emit = defineEmits<{ assign: [place: number, says: Column] }>()

const CHOICES = Object.entries(COLUMN_WORDS) as [Column, string][]

function assign(place: number, event: Event): void {
  emit('assign', place, (event.target as HTMLSelectElement).value as Column)
}
</script>

<template>
  <div class="border-line overflow-x-auto rounded border" data-test="columns">
    <table class="w-max min-w-full text-left">
      <thead>
        <tr>
          <th
            v-for="(column, place) in table.columns"
            :key="place"
            class="border-line max-w-56 min-w-32 border-b px-2 py-1.5 align-top font-normal"
            scope="col"
          >
            <span class="text-ink-soft mb-0.5 block truncate text-sm">{{
              column.heading || `Column ${place + 1}`
            }}</span>
            <select
              class="field h-8 w-full max-sm:h-11"
              :class="column.says === 'NOTHING' ? 'text-ink-soft' : 'font-semibold'"
              :aria-label="`${column.heading || `Column ${place + 1}`} says`"
              :value="column.says"
              @change="assign(place, $event)"
            >
              <option v-for="[says, words] in CHOICES" :key="says" :value="says">
                {{ words }}
              </option>
            </select>
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="example in 3" :key="example">
          <td
            v-for="(column, place) in table.columns"
            :key="place"
            class="text-ink-soft max-w-56 truncate px-2 py-0.5 text-sm"
          >
            {{ column.examples[example - 1] ?? '' }}
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>
