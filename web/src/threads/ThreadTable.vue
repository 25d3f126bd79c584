<script setup lang="ts">
import { computed, ref } from 'vue'
import type { CategoryView, ThreadGrouping, ThreadLine, Turn } from '@/api/client'
import { useThread } from '@/api/queries'
import Owing from '@/threads/Owing.vue'
import { openWith, type ThreadRow } from '@/threads/rows'
import { beginnings, firstChase } from '@/threads/words'
import CategoryMark from '@/ui/CategoryMark.vue'
import { moment, shortMoment, today, workingSpan, workingSpanInWords } from '@/ui/time'
import Trace from '@/ui/Trace.vue'

/** Threads, one in a row, in groups where rows stand in groups. */
const { rows, turn, by, now, current, picked, categories } = defineProps<{
  rows: readonly ThreadRow[]
  turn: Turn
  by: ThreadGrouping
  now: string
  /** The key of the row that is pointed at. */
  current: string | undefined
  /** The ids of the picked threads. */
  picked: ReadonlySet<string>
  categories: readonly CategoryView[]
}>()
const emit = defineEmits<{
  open: [id: string]
  point: [key: string]
  pick: [row: ThreadRow, how: 'one' | 'range']
}>()

/** The thread whose trace is pointed at. */
const wanted = ref<string>()
const pointedAt = useThread(wanted)
const begun = computed(() => beginnings(pointedAt.data.value?.messages ?? []))

const OWED: Record<Turn, string> = {
  WITH_ME: 'I owe',
  WITH_OTHERS: 'They owe',
  CLOSED: 'Standing',
  NOBODY: '',
}
const columns = computed(() => (turn === 'WITH_OTHERS' ? 8 : turn === 'NOBODY' ? 6 : 7))
const shown = computed(() =>
  rows.map((row) => {
    const line = openWith(row.line, by === 'PERSON' ? row.line.group?.key : undefined)
    return {
      ...row,
      line,
      chase: firstChase(line, today()),
      category: categories.find((each) => each.id === line.categoryId),
    }
  }),
)

function people(line: ThreadLine): string {
  return line.room ? `${line.room}: ${line.people.join(', ')}` : line.people.join(', ')
}

function title(group: NonNullable<ThreadRow['heading']>): string {
  return group.title || 'No category'
}

function click(row: ThreadRow, event: MouseEvent): void {
  if (event.shiftKey) {
    emit('pick', row, 'range')
  } else if (event.ctrlKey || event.metaKey) {
    emit('pick', row, 'one')
  } else {
    emit('open', row.line.id)
  }
}
</script>

<template>
  <table class="bg-surface border-line w-full table-fixed border" data-test="threads">
    <thead class="text-ink-soft text-left text-sm">
      <tr class="border-line border-b">
        <th class="w-9 px-0 font-normal print:hidden"><span class="sr-only">Picked</span></th>
        <th class="h-7 px-2 font-normal">Thread</th>
        <th class="hidden w-44 px-3 font-normal md:table-cell">People</th>
        <th class="hidden w-52 px-3 font-normal sm:table-cell print:hidden">Trace</th>
        <th v-if="turn !== 'NOBODY'" class="hidden px-3 font-normal lg:table-cell">
          {{ OWED[turn] }}
        </th>
        <th class="hidden w-24 px-3 font-normal md:table-cell">Since</th>
        <th v-if="turn === 'WITH_OTHERS'" class="w-28 px-3 font-normal max-sm:w-22 max-sm:px-1">
          Chase
        </th>
        <th class="hidden w-20 px-3 text-right font-normal sm:table-cell">Silent</th>
      </tr>
    </thead>
    <tbody>
      <template v-for="(row, i) in shown" :key="row.key">
        <tr v-if="row.heading" class="bg-paper border-line border-b">
          <th
            class="h-7 px-3 text-left font-semibold"
            :colspan="columns"
            scope="rowgroup"
            data-test="group"
          >
            <bdi>{{ title(row.heading) }}</bdi>
            <span class="text-ink-soft ml-2 font-normal">{{ row.heading.size }}</span>
          </th>
        </tr>
        <tr
          class="border-line h-8 cursor-pointer border-b last:border-0"
          :class="
            picked.has(row.line.id)
              ? 'bg-kelp-wash'
              : row.key === current
                ? 'bg-paper'
                : 'hover:bg-paper'
          "
          :data-picked="picked.has(row.line.id)"
          @click="(event) => click(row, event)"
        >
          <td class="px-0 text-center print:hidden" @click.stop>
            <label class="inline-grid h-8 w-9 cursor-pointer place-items-center max-sm:h-11">
              <input
                type="checkbox"
                tabindex="-1"
                :checked="picked.has(row.line.id)"
                :aria-label="`Pick ${row.line.subject}`"
                @change="emit('pick', row, 'one')"
              />
            </label>
          </td>
          <td class="px-2">
            <button
              type="button"
              class="print flex w-full items-center gap-2 truncate text-left max-sm:pt-2"
              :data-row="i"
              :tabindex="row.key === current ? 0 : -1"
              @focus="emit('point', row.key)"
              @click.stop="(event) => click(row, event)"
              @keydown.space.prevent="emit('pick', row, 'one')"
              @keyup.space.prevent
            >
              <CategoryMark v-if="row.category" :category="row.category" />
              <span class="truncate font-semibold" :title="row.line.subject">{{
                row.line.subject || people(row.line)
              }}</span>
              <span v-if="row.line.openedAgain" class="text-brass-ink shrink-0 text-sm"
                >opened again</span
              >
              <span v-if="row.line.attention !== 'MINE'" class="text-ink-soft shrink-0 text-sm">{{
                row.line.attention === 'WATCHED' ? 'only watched' : 'not for me'
              }}</span>
            </button>
            <div class="pb-1.5 text-sm lg:hidden" data-test="thread-beside">
              <p class="text-ink-soft truncate md:hidden">
                <bdi>{{ people(row.line) }}</bdi>
              </p>
              <Owing v-if="turn !== 'NOBODY'" :line="row.line" :closed="turn === 'CLOSED'" />
            </div>
          </td>
          <td class="hidden truncate px-3 md:table-cell" :title="people(row.line)">
            <bdi>{{ people(row.line) }}</bdi>
          </td>
          <td class="hidden px-3 sm:table-cell print:hidden">
            <Trace
              :thread="row.line"
              :now="now"
              :words="wanted === row.line.id ? begun : undefined"
              @wanted="wanted = row.line.id"
            />
          </td>
          <td
            v-if="turn !== 'NOBODY'"
            class="hidden px-3 py-1 lg:table-cell"
            data-test="thread-owed"
          >
            <Owing :line="row.line" :closed="turn === 'CLOSED'" />
          </td>
          <td
            class="text-ink-soft hidden px-3 whitespace-nowrap md:table-cell"
            :title="row.line.since ? moment(row.line.since) : ''"
          >
            {{ row.line.since ? shortMoment(row.line.since) : '' }}
          </td>
          <td
            v-if="turn === 'WITH_OTHERS'"
            class="px-3 whitespace-nowrap max-sm:px-1"
            :class="row.chase?.due ? 'text-brass-ink font-semibold' : 'text-ink-soft'"
            :title="row.chase ? `${row.chase.who}: ${row.chase.why}` : ''"
            data-test="chase"
          >
            {{ row.chase?.text }}
          </td>
          <td
            class="hidden px-3 text-right sm:table-cell"
            :title="workingSpanInWords(row.line.silenceWorkingMinutes)"
          >
            {{ workingSpan(row.line.silenceWorkingMinutes) }}
          </td>
        </tr>
      </template>
    </tbody>
  </table>
</template>
