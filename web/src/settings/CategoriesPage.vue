<script setup lang="ts">
import { ArrowDown, ArrowUp } from '@lucide/vue'
import { computed, reactive, ref } from 'vue'
import { client, newId, type CategoryView, type Hue } from '@/api/client'
import { run } from '@/api/commands'
import { useCategories } from '@/api/queries'
import CategoryMark from '@/ui/CategoryMark.vue'
import Loading from '@/ui/Loading.vue'
import Note from '@/ui/Note.vue'

const HUES: Hue[] = [
  'TIDE',
  'MOSS',
  'CLAY',
  'HEATHER',
  'SAND',
  'SLATE',
  'FERN',
  'PLUM',
  'RUSTLEAF',
  'LAGOON',
  'STRAW',
  'SHELL',
]

const categories = useCategories()
const inUse = computed(() => (categories.data.value ?? []).filter((category) => !category.retired))
const retired = computed(() => (categories.data.value ?? []).filter((category) => category.retired))
const editing = ref<string | undefined>()
const merging = ref<string | undefined>()
const mergeInto = ref('')
interface CategoryForm {
  name: string
  hue: Hue
  letter: string
  replyDays: number | ''
  effortMinutes: number | ''
}
const form = reactive<CategoryForm>({
  name: '',
  hue: 'TIDE',
  letter: '',
  replyDays: '',
  effortMinutes: '',
})
const fresh = reactive<CategoryForm>({
  name: '',
  hue: 'FERN',
  letter: '',
  replyDays: '',
  effortMinutes: '',
})

const hueName = (hue: Hue) => hue.charAt(0) + hue.slice(1).toLowerCase()
const content = (from: CategoryForm) => ({
  name: from.name,
  hue: from.hue,
  letter: from.letter || null,
  replyDays: from.replyDays === '' ? null : from.replyDays,
  effortMinutes: from.effortMinutes === '' ? null : from.effortMinutes,
})

function edit(category: CategoryView): void {
  editing.value = category.id
  merging.value = undefined
  Object.assign(form, {
    name: category.name,
    hue: category.hue,
    letter: category.letter ?? '',
    replyDays: category.replyDays ?? '',
    effortMinutes: category.effortMinutes ?? '',
  })
}

async function save(category: CategoryView): Promise<void> {
  const done = await run((header) =>
    client.PUT('/api/categories/{id}', {
      params: { path: { id: category.id }, query: { version: category.version }, header },
      body: content(form),
    }),
  )
  if (done) {
    editing.value = undefined
  }
}

async function add(): Promise<void> {
  const done = await run((header) =>
    client.POST('/api/categories/{id}', {
      params: { path: { id: newId() }, header },
      body: content(fresh),
    }),
  )
  if (done) {
    Object.assign(fresh, { name: '', letter: '' })
  }
}

function move(category: CategoryView, by: 1 | -1): void {
  const ids = inUse.value.map((each) => each.id)
  const place = ids.indexOf(category.id)
  ids.splice(place, 1)
  ids.splice(place + by, 0, category.id)
  void run((header) => client.PUT('/api/categories', { params: { header }, body: ids }))
}

function retire(category: CategoryView, away: boolean): void {
  void run((header) =>
    client.POST('/api/categories/{id}/retired', {
      params: {
        path: { id: category.id },
        query: { version: category.version, retired: away },
        header,
      },
    }),
  )
}

function startMerge(category: CategoryView): void {
  merging.value = category.id
  mergeInto.value = ''
}

async function merge(category: CategoryView): Promise<void> {
  const into = mergeInto.value
  const done = await run((header) =>
    client.POST('/api/categories/{id}/merge', {
      params: { path: { id: category.id }, query: { into }, header },
    }),
  )
  if (done) {
    merging.value = undefined
  }
}
</script>

<template>
  <h1 class="text-lg font-semibold">Categories</h1>
  <p class="text-ink-soft mb-3">
    Your own groups for follow-ups. The key chooses a category while its control has the focus.
  </p>
  <Loading v-if="categories.isPending.value" />
  <Note v-else-if="categories.isError.value" title="Categories could not be loaded" problem>
    <p>{{ categories.error.value?.message }}</p>
  </Note>
  <template v-else>
    <ul v-if="inUse.length" class="bg-surface border-line rounded border">
      <li
        v-for="(category, i) in inUse"
        :key="category.id"
        class="border-line border-b px-3 py-1 last:border-0"
        data-test="category-row"
      >
        <form
          v-if="editing === category.id"
          class="flex flex-wrap items-end gap-2 py-1"
          @submit.prevent="void save(category)"
        >
          <label
            >Name <input v-model="form.name" class="field w-44" maxlength="60" required
          /></label>
          <label
            >Hue
            <select v-model="form.hue" class="field w-32">
              <option v-for="hue in HUES" :key="hue" :value="hue">{{ hueName(hue) }}</option>
            </select>
          </label>
          <label>Key <input v-model="form.letter" class="field w-14" maxlength="1" /></label>
          <label
            >Reply within
            <span class="flex items-center gap-1"
              ><input
                v-model.number="form.replyDays"
                class="field w-16"
                type="number"
                min="0"
                max="90"
                placeholder="–"
              />
              working days</span
            ></label
          >
          <label
            >Usually takes
            <span class="flex items-center gap-1"
              ><input
                v-model.number="form.effortMinutes"
                class="field w-16"
                type="number"
                min="1"
                max="1440"
                placeholder="15"
                data-test="category-effort"
              />
              minutes</span
            ></label
          >
          <button class="btn btn-main" type="submit">Save</button>
          <button class="btn btn-quiet" type="button" @click="editing = undefined">Cancel</button>
        </form>
        <div v-else class="flex min-h-8 flex-wrap items-center gap-2">
          <CategoryMark :category="category" with-name />
          <span v-if="category.letter" class="key">{{ category.letter.toUpperCase() }}</span>
          <span v-if="category.replyDays !== null" class="text-ink-soft"
            >reply within {{ category.replyDays }}
            {{ category.replyDays === 1 ? 'working day' : 'working days' }}</span
          >
          <span v-if="category.effortMinutes !== null" class="text-ink-soft"
            >usually {{ category.effortMinutes }} min</span
          >
          <span class="ml-auto flex flex-wrap gap-1">
            <button
              class="btn btn-quiet h-7 px-1.5"
              type="button"
              :aria-label="`Move ${category.name} up`"
              :disabled="i === 0"
              @click="move(category, -1)"
            >
              <ArrowUp :size="15" aria-hidden="true" />
            </button>
            <button
              class="btn btn-quiet h-7 px-1.5"
              type="button"
              :aria-label="`Move ${category.name} down`"
              :disabled="i === inUse.length - 1"
              @click="move(category, 1)"
            >
              <ArrowDown :size="15" aria-hidden="true" />
            </button>
            <button class="btn h-7" type="button" @click="edit(category)">Change</button>
            <button
              class="btn h-7"
              type="button"
              :disabled="inUse.length < 2"
              @click="startMerge(category)"
            >
              Merge
            </button>
            <button class="btn h-7" type="button" @click="retire(category, true)">Retire</button>
          </span>
        </div>
        <form
          v-if="merging === category.id"
          class="flex flex-wrap items-center gap-2 py-1"
          @submit.prevent="void merge(category)"
        >
          <label
            >Move all its follow-ups to
            <select v-model="mergeInto" class="field inline-block w-44" required>
              <option
                v-for="other in inUse.filter((each) => each.id !== category.id)"
                :key="other.id"
                :value="other.id"
              >
                {{ other.name }}
              </option>
            </select>
          </label>
          <button class="btn btn-main" type="submit">Merge and retire {{ category.name }}</button>
          <button class="btn btn-quiet" type="button" @click="merging = undefined">Cancel</button>
        </form>
      </li>
    </ul>
    <p v-else class="text-ink-soft">No categories yet. Add the first one below.</p>
    <form
      class="mt-3 flex flex-wrap items-end gap-2"
      data-test="add-category"
      @submit.prevent="void add()"
    >
      <label
        >New category
        <input v-model="fresh.name" class="field w-44" name="name" maxlength="60" required
      /></label>
      <label
        >Hue
        <select v-model="fresh.hue" class="field w-32">
          <option v-for="hue in HUES" :key="hue" :value="hue">{{ hueName(hue) }}</option>
        </select>
      </label>
      <label>Key <input v-model="fresh.letter" class="field w-14" maxlength="1" /></label>
      <button class="btn btn-main" type="submit">Add</button>
    </form>
    <section v-if="retired.length" class="mt-5">
      <h2 class="font-semibold">Retired</h2>
      <ul>
        <li v-for="category in retired" :key="category.id" class="flex min-h-8 items-center gap-3">
          <CategoryMark :category="category" with-name />
          <button class="btn h-7" type="button" @click="retire(category, false)">Use again</button>
        </li>
      </ul>
    </section>
  </template>
</template>
