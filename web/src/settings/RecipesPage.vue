<script setup lang="ts">
import { ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import { client, newId, type RecipeForm } from '@/api/client'
import { run, undo } from '@/api/commands'
import { useRecipeRuns, useRecipes } from '@/api/queries'
import RecipeEditor from '@/settings/RecipeEditor.vue'
import { inWords, newRecipe, newStep, NO_CONDITIONS, STEP_NAMES } from '@/settings/recipes'
import Loading from '@/ui/Loading.vue'
import Note from '@/ui/Note.vue'
import { moment } from '@/ui/time'

const recipes = useRecipes()
const runs = useRecipeRuns()
const edited = ref<{ id: string; version: number; known: boolean; form: RecipeForm }>()

async function put(id: string, version: number, form: RecipeForm): Promise<boolean> {
  const done = await run((header) =>
    client.PUT('/api/recipes/{id}', {
      params: { path: { id }, query: { version }, header },
      body: form,
    }),
  )
  return done !== undefined
}

async function save(): Promise<void> {
  const now = edited.value
  if (now && (await put(now.id, now.version, now.form))) {
    edited.value = undefined
  }
}

async function remove(): Promise<void> {
  if (edited.value) {
    const { id } = edited.value
    const done = await run((header) =>
      client.DELETE('/api/recipes/{id}', { params: { path: { id }, header } }),
    )
    if (done) {
      edited.value = undefined
    }
  }
}

/** Changes places with the one above, as one change. */
async function moveUp(i: number): Promise<void> {
  const order = (recipes.data.value ?? []).map((recipe) => recipe.id)
  const [moved] = order.splice(i, 1)
  if (moved) {
    order.splice(i - 1, 0, moved)
    await run((header) => client.PUT('/api/recipes/order', { params: { header }, body: order }))
  }
}

function begin(): void {
  const last = recipes.data.value?.at(-1)?.form.place ?? 0
  edited.value = { id: newId(), version: 0, known: false, form: newRecipe(last + 1) }
}

const route = useRoute()
let brought = false
const asked = (name: string) => (typeof route.query[name] === 'string' ? route.query[name] : '')
/** Another page has seen what a recipe would save, and brings whom it is about along. */
watch(
  () => recipes.data.value,
  (known) => {
    const [sender, list] = [asked('sender'), asked('list')]
    if (known && !brought && (sender !== '' || list !== '')) {
      brought = true
      begin()
      if (edited.value) {
        const step = newStep(asked('step') === 'NOTHING' ? 'NOTHING' : 'FOLLOW_UP')
        edited.value.form = {
          ...edited.value.form,
          name: `From ${sender || list}`.slice(0, 60),
          conditions: { ...NO_CONDITIONS, sender, list },
          steps: [{ ...step, categoryId: asked('category') || null }],
        }
      }
    }
  },
  { immediate: true },
)

async function takeBack(commandId: string): Promise<void> {
  await undo(commandId)
  await runs.refetch()
}
</script>

<template>
  <h1 class="text-lg font-semibold">Recipes</h1>
  <p class="text-ink-soft mb-3">
    A recipe does several steps in one go: by its key in Intake, or by itself on what arrives. Of
    several that fit, the first one runs.
  </p>
  <Loading v-if="recipes.isPending.value" />
  <Note v-else-if="recipes.isError.value" title="The recipes could not be loaded" problem>
    <p>{{ recipes.error.value?.message }}</p>
  </Note>
  <ul v-else-if="recipes.data.value?.length" class="bg-surface border-line mb-3 rounded border">
    <li
      v-for="(recipe, i) in recipes.data.value"
      :key="recipe.id"
      class="border-line flex flex-wrap items-center gap-x-3 border-b px-3 py-1.5 last:border-0"
      data-test="recipe"
    >
      <span class="key">{{ recipe.form.letter?.toUpperCase() ?? '·' }}</span>
      <b>{{ recipe.form.name }}</b>
      <span class="text-ink-soft min-w-0 flex-1">
        {{ recipe.form.steps.map((step) => STEP_NAMES[step.kind].toLowerCase()).join(', ')
        }}<template v-if="recipe.form.automatic"
          >; by itself {{ inWords(recipe.form.conditions) }}</template
        >
      </span>
      <button
        v-if="i > 0"
        class="btn btn-quiet h-7 px-1.5"
        type="button"
        :aria-label="`Move ${recipe.form.name} up`"
        @click="void moveUp(i)"
      >
        Up
      </button>
      <button
        class="btn btn-quiet h-7 px-1.5"
        type="button"
        @click="edited = { id: recipe.id, version: recipe.version, known: true, form: recipe.form }"
      >
        Change
      </button>
    </li>
  </ul>
  <RecipeEditor
    v-if="edited"
    :key="edited.id"
    v-model="edited.form"
    :known="edited.known"
    @save="void save()"
    @remove="void remove()"
    @cancel="edited = undefined"
  />
  <button v-else class="btn" type="button" data-test="recipe-new" @click="begin">New recipe</button>
  <section v-if="runs.data.value?.length" class="mt-5">
    <h2 class="font-semibold">What recipes have done</h2>
    <ul class="mt-1" data-test="recipe-runs">
      <li
        v-for="done in runs.data.value"
        :key="done.commandId"
        class="border-line flex min-h-8 items-center gap-3 border-b"
      >
        <span class="text-ink-soft w-32 shrink-0">{{ moment(done.at) }}</span>
        <span class="min-w-0 flex-1 truncate" :title="done.about"
          ><b>{{ done.recipe }}</b> {{ done.automatic ? 'by itself: ' : '' }}{{ done.about }}</span
        >
        <RouterLink class="hover:text-kelp text-ink-soft" :to="`/intake/${done.messageId}`"
          >Message</RouterLink
        >
        <span v-if="done.undone" class="text-ink-soft w-16 text-right">undone</span>
        <button
          v-else
          class="btn btn-quiet h-7 w-16 px-1.5"
          type="button"
          @click="void takeBack(done.commandId)"
        >
          Undo
        </button>
      </li>
    </ul>
  </section>
</template>
