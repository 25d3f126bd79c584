<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { newId, type FileLookedAt, type FileToTakeIn, type LineToTakeIn } from '@/api/client'
import { importFile } from '@/api/files'
import { useCategories } from '@/api/queries'
import ColumnsTable from '@/takein/ColumnsTable.vue'
import LineRow from '@/takein/LineRow.vue'
import { assigned, look, SEPARATOR_WORDS, takeIn, toTakeIn, type Column } from '@/takein/taking'
import view from '@/takein/view'
import KeyHint from '@/ui/KeyHint.vue'
import { useKeys } from '@/ui/keys'
import Loading from '@/ui/Loading.vue'
import Note from '@/ui/Note.vue'
import RowList from '@/ui/RowList.vue'
import { usePointed } from '@/ui/usePointed'

/** A file of follow-ups as it would be taken in, to be put right before. */
const { file, more } = defineProps<{
  file: File
  /** How many files wait behind it. */
  more: number
}>()
const emit = defineEmits<{ done: [count: number]; other: [] }>()

/** Stands for a category that is to be made. */
const NEW = 'new'

const categories = useCategories()
const wish = ref<FileToTakeIn>()
const seen = ref<FileLookedAt>()
const problem = ref('')
/** What was said otherwise of lines, by their numbers. */
const otherwise = ref(new Map<number, boolean>())
const onlyOdd = ref(false)
const busy = ref(false)
const eventsIn = ref(false)

/** Which answer is waited for; one that is overtaken by another counts no more. */
let asked = 0
/** What is seen is not yet what is wished: nothing can be taken in unseen. */
const looking = ref(false)
let lookedAt: FileToTakeIn | undefined

/** Wishes build upon each other also while one is on its way; one that cannot be is as if it had not been said. */
async function read(changed: FileToTakeIn): Promise<void> {
  const mine = ++asked
  wish.value = changed
  looking.value = true
  try {
    const answer = await look(changed)
    if (mine === asked) {
      lookedAt = changed
      seen.value = answer
      problem.value = ''
    }
  } catch (why) {
    if (mine === asked) {
      wish.value = lookedAt
      problem.value = why instanceof Error ? why.message : String(why)
    }
  } finally {
    if (mine === asked) {
      looking.value = false
    }
  }
}

async function begin(): Promise<void> {
  seen.value = undefined
  lookedAt = undefined
  problem.value = ''
  otherwise.value = new Map()
  // Another file may come in its place meanwhile.
  const mine = ++asked
  try {
    const first = await toTakeIn(file)
    if (mine === asked) {
      await read(first)
    }
  } catch (why) {
    if (mine === asked) {
      problem.value = why instanceof Error ? why.message : String(why)
    }
  }
}
watch(
  () => file,
  () => void begin(),
  { immediate: true },
)

function change(changed: Partial<FileToTakeIn>): void {
  if (wish.value) {
    void read({ ...wish.value, ...changed })
  }
}

/** Columns that were said before count, also where the answer to them has not come yet. */
function assign(place: number, says: Column): void {
  if (table.value) {
    const before = wish.value?.columns ?? table.value.columns.map((column) => column.says)
    change({ columns: assigned(before, place, says), headed: table.value.headed })
  }
}

function nameCategory(name: string, event: Event): void {
  const chosen = (event.target as HTMLSelectElement).value
  const others = (wish.value?.categories ?? []).filter((each) => each.name !== name)
  const isNew = chosen === NEW
  change({
    categories: chosen
      ? [...others, { name, categoryId: isNew ? newId() : chosen, isNew }]
      : others,
  })
}

const table = computed(() => seen.value?.table ?? undefined)
const strangers = computed(() => [
  ...new Set([
    ...(seen.value?.unknownCategories ?? []),
    ...(wish.value?.categories ?? []).map((each) => each.name),
  ]),
])
const isTaken = (line: LineToTakeIn) =>
  line.usable && (otherwise.value.get(line.line) ?? line.taken)
const taken = computed(() => (seen.value?.lines ?? []).filter(isTaken).map((line) => line.line))
const broken = computed(() => (seen.value?.lines ?? []).filter((line) => !line.usable).length)
const odd = computed(() =>
  (seen.value?.lines ?? []).filter((line) => line.problems.length + line.remarks.length > 0),
)
const shown = computed(() => (onlyOdd.value ? odd.value : (seen.value?.lines ?? [])))
const groups = computed(() => [
  {
    key: 'lines',
    title: seen.value?.sort === 'TASKS' ? 'Tasks, by their number' : 'By the line of the file',
    rows: shown.value.map((line) => ({
      key: String(line.line),
      height: line.problems.length + line.remarks.length > 0 || line.repeats ? 54 : 34,
      line,
    })),
  },
])
const { current, pointed, step } = usePointed(
  () => shown.value,
  (line) => String(line.line),
)

function toggle(line: LineToTakeIn | undefined): void {
  if (line?.usable) {
    otherwise.value = new Map(otherwise.value).set(line.line, !isTaken(line))
  }
}

async function takeAll(): Promise<void> {
  if (!wish.value || taken.value.length === 0 || busy.value || looking.value) {
    return
  }
  busy.value = true
  const count = taken.value.length
  const done = await takeIn(wish.value, taken.value)
  busy.value = false
  if (done) {
    emit('done', count)
  }
}

function events(): void {
  eventsIn.value = true
  void importFile(file)
}

useKeys(view.name, [
  {
    ...view.keys.next,
    run: () => {
      step(1)
    },
  },
  {
    ...view.keys.before,
    run: () => {
      step(-1)
    },
  },
  {
    ...view.keys.toggle,
    run: () => {
      toggle(pointed.value)
    },
    when: () => pointed.value !== undefined,
  },
  {
    ...view.keys.take,
    run: () => void takeAll(),
    when: () => taken.value.length > 0 && !looking.value,
  },
])
</script>

<template>
  <Note v-if="problem && !seen" :title="`${file.name} cannot be taken in`" problem>
    <p>{{ problem }}</p>
    <button class="btn" type="button" @click="emit('other')">
      {{ more > 0 ? 'The next file' : 'Choose another file' }}
    </button>
  </Note>
  <Loading v-else-if="!seen" />
  <template v-else>
    <div class="max-h-[55%] shrink-0 space-y-2 overflow-y-auto px-3 py-2 sm:px-6">
      <p class="flex flex-wrap items-baseline gap-x-3 gap-y-1">
        <b class="min-w-0 truncate">{{ file.name }}</b>
        <span class="text-ink-soft"
          >{{ seen.lines.length }}
          {{ seen.sort === 'TABLE' ? 'rows' : seen.sort === 'TASKS' ? 'tasks' : 'lines of a list'
          }}<template v-if="table"
            >, divided by {{ SEPARATOR_WORDS[table.separator] }}, read as
            {{ seen.charset }}</template
          ></span
        >
        <span v-if="more > 0" class="text-ink-soft">{{ more }} more to look at</span>
        <button class="btn btn-quiet h-7 max-sm:h-11" type="button" @click="emit('other')">
          {{ more > 0 ? 'Leave it, the next file' : 'Another file' }}
        </button>
      </p>
      <p v-if="problem" class="text-rust" role="alert">{{ problem }}</p>
      <template v-if="table">
        <ColumnsTable :table="table" @assign="assign" />
        <div class="flex flex-wrap items-center gap-x-5 gap-y-1">
          <label class="flex items-center gap-1.5 max-sm:min-h-11">
            <input
              type="checkbox"
              :checked="table.headed"
              data-test="headed"
              @change="change({ headed: !table.headed, columns: null })"
            />
            The first row names the columns
          </label>
          <label class="flex items-center gap-1.5 max-sm:min-h-11">
            3/4 is
            <select
              class="field h-8 w-auto max-sm:h-11"
              :value="String(table.monthFirst)"
              data-test="date-order"
              @change="
                change({ monthFirst: ($event.target as HTMLSelectElement).value === 'true' })
              "
            >
              <option value="false">3 April (day first)</option>
              <option value="true">March 4 (month first)</option>
            </select>
          </label>
          <span class="text-sm" :class="table.datesMixed ? 'text-rust' : 'text-ink-soft'">{{
            table.datesMixed
              ? 'Some dates can only be day first, others only month first: look at them.'
              : table.datesCertain
                ? 'Some of its dates can be read in this order only.'
                : ''
          }}</span>
        </div>
      </template>
      <div v-if="strangers.length > 0" class="flex flex-wrap items-center gap-x-5 gap-y-1">
        <label
          v-for="name in strangers"
          :key="name"
          class="flex items-center gap-1.5 max-sm:min-h-11"
        >
          <span class="max-w-48 truncate">“{{ name }}” is</span>
          <select
            class="field h-8 w-auto max-sm:h-11"
            data-test="category"
            @change="nameCategory(name, $event)"
          >
            <option value="">no category here</option>
            <option :value="NEW">a new category</option>
            <option
              v-for="each in (categories.data.value ?? []).filter((one) => !one.retired)"
              :key="each.id"
              :value="each.id"
            >
              {{ each.name }}
            </option>
          </select>
        </label>
      </div>
      <p v-if="seen.events > 0" class="flex flex-wrap items-center gap-2">
        There {{ seen.events === 1 ? 'is one meeting' : `are ${seen.events} meetings` }} in it, too.
        <button class="btn h-7 max-sm:h-11" type="button" :disabled="eventsIn" @click="events">
          Take in the meetings
        </button>
      </p>
      <p v-if="seen.more" class="text-brass-ink" role="status">
        The file is longer than what is taken in at once. Take these in; the rest is found when the
        lines above are cut off from the file.
      </p>
    </div>
    <Note v-if="seen.lines.length === 0" title="There is nothing to be taken in in this file">
      <p>It holds no row, no task and no line that could be a follow-up.</p>
    </Note>
    <RowList
      v-else
      class="border-line min-h-0 flex-1 border-t sm:px-3"
      label="What would be taken in"
      :groups="groups"
      :current="current"
      @choose="(row) => (current = row.key)"
      @go="(key) => (current = key)"
    >
      <template #heading="{ group }">
        <span class="flex w-full items-baseline">
          <span class="font-semibold">{{ group.title }}</span>
          <label v-if="odd.length > 0" class="ml-auto flex items-center gap-1.5">
            <input v-model="onlyOdd" type="checkbox" data-test="only-odd" /> only the
            {{ odd.length }} with something to say
          </label>
        </span>
      </template>
      <template #row="{ row, current: isCurrent }">
        <LineRow
          :line="row.line"
          :current="isCurrent"
          :taken="isTaken(row.line)"
          :category="categories.data.value?.find((each) => each.id === row.line.categoryId)"
          :fresh="
            wish?.categories.find((each) => each.isNew && each.categoryId === row.line.categoryId)
              ?.name
          "
          @toggle="toggle(row.line)"
        />
      </template>
    </RowList>
    <div
      class="border-line-strong bg-surface flex min-h-12 shrink-0 flex-wrap items-center gap-x-3 gap-y-1 border-t px-3 py-2 sm:px-6"
    >
      <button
        class="btn btn-main h-8 max-sm:h-11"
        type="button"
        data-test="take-in"
        :disabled="taken.length === 0 || busy || looking"
        @click="void takeAll()"
      >
        Take in {{ taken.length }} {{ taken.length === 1 ? 'follow-up' : 'follow-ups' }}
        <KeyHint :group="view.name" :does="view.keys.take.does" or="Enter" />
      </button>
      <span v-if="broken > 0" class="text-rust" data-test="broken"
        >{{ broken }} {{ broken === 1 ? 'line stays' : 'lines stay' }} out: put
        {{ broken === 1 ? 'it' : 'them' }} right in the file and choose it again; what is there
        already is not taken twice.</span
      >
      <span v-else class="text-ink-soft max-sm:hidden"
        >All in one change, which can be taken back.</span
      >
    </div>
  </template>
</template>
