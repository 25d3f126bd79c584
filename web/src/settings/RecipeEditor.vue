<script setup lang="ts">
import { watchDebounced } from '@vueuse/core'
import { ref } from 'vue'
import { client, unwrap, type RecipeForm } from '@/api/client'
import { useCategories, usePhrases } from '@/api/queries'
import RecipeConditionsForm from '@/settings/RecipeConditionsForm.vue'
import RecipeStepForm from '@/settings/RecipeStepForm.vue'
import { inWords, newStep, STEP_NAMES } from '@/settings/recipes'
import { moment } from '@/ui/time'

/** A recipe to be written, with a dry run over the last thirty days while its conditions are changed. */
const { known } = defineProps<{ known: boolean }>()
const emit = defineEmits<{ save: []; remove: []; cancel: [] }>()
const form = defineModel<RecipeForm>({ required: true })

const categories = useCategories()
const phrases = usePhrases()
const dry = ref<{
  found: number
  newest: { messageId: string; from: string; subject: string; sentAt: string }[]
}>()

function set(changed: Partial<RecipeForm>): void {
  form.value = { ...form.value, ...changed }
}

function setStep(i: number, step: RecipeForm['steps'][number]): void {
  set({ steps: form.value.steps.map((each, place) => (place === i ? step : each)) })
}

function moveStep(i: number, by: 1 | -1): void {
  const steps = [...form.value.steps]
  const [step] = steps.splice(i, 1)
  if (step) {
    steps.splice(i + by, 0, step)
    set({ steps })
  }
}

watchDebounced(
  () => JSON.stringify(form.value.conditions),
  async () => {
    const conditions = form.value.conditions
    if (inWords(conditions) === '') {
      dry.value = undefined
      return
    }
    try {
      dry.value = await unwrap(client.POST('/api/recipes/dry-run', { body: conditions }))
    } catch {
      dry.value = undefined
    }
  },
  { debounce: 300, immediate: true },
)
</script>

<template>
  <form
    class="bg-surface border-line space-y-3 rounded border p-3"
    data-test="recipe-editor"
    @submit.prevent="emit('save')"
  >
    <div class="flex flex-wrap items-center gap-x-4 gap-y-2">
      <label class="flex min-w-60 flex-1 items-center gap-2"
        >Name
        <input
          class="field"
          :value="form.name"
          maxlength="60"
          required
          data-test="recipe-name"
          @input="(event) => set({ name: (event.target as HTMLInputElement).value })"
      /></label>
      <label class="flex items-center gap-2"
        >Letter that runs it, after <span class="key">R</span>
        <input
          class="field w-10 text-center"
          :value="form.letter ?? ''"
          maxlength="1"
          pattern="[a-z0-9]"
          title="A letter or a digit"
          data-test="recipe-letter"
          @input="
            (event) =>
              set({ letter: (event.target as HTMLInputElement).value.toLowerCase() || null })
          "
      /></label>
    </div>
    <ol class="space-y-2">
      <li
        v-for="(step, i) in form.steps"
        :key="i"
        class="border-line border-l-2 pl-3"
        data-test="step"
      >
        <div class="mb-1 flex items-center gap-2">
          <b>{{ i + 1 }}.</b>
          <select
            class="field w-auto"
            :value="step.kind"
            :aria-label="`What step ${i + 1} does`"
            data-test="step-kind"
            @change="
              (event) =>
                setStep(i, newStep((event.target as HTMLSelectElement).value as typeof step.kind))
            "
          >
            <option v-for="(name, kind) in STEP_NAMES" :key="kind" :value="kind">{{ name }}</option>
          </select>
          <button
            v-if="i > 0"
            class="btn btn-quiet h-7 px-1.5"
            type="button"
            @click="moveStep(i, -1)"
          >
            Up
          </button>
          <button
            v-if="form.steps.length > 1"
            class="btn btn-quiet h-7 px-1.5"
            type="button"
            @click="set({ steps: form.steps.filter((_, place) => place !== i) })"
          >
            Remove
          </button>
        </div>
        <RecipeStepForm
          :model-value="step"
          :categories="categories.data.value ?? []"
          :phrases="phrases.data.value ?? []"
          @update:model-value="(changed) => setStep(i, changed)"
        />
      </li>
    </ol>
    <button
      class="btn"
      type="button"
      data-test="add-recipe-step"
      @click="set({ steps: [...form.steps, newStep('ARCHIVE')] })"
    >
      Add a step
    </button>
    <fieldset class="border-line border-t pt-2">
      <label class="mb-2 flex items-center gap-2 font-semibold">
        <input
          type="checkbox"
          :checked="form.automatic"
          data-test="recipe-automatic"
          @change="set({ automatic: !form.automatic })"
        />
        Runs by itself on what arrives, where this holds
      </label>
      <RecipeConditionsForm
        :model-value="form.conditions"
        @update:model-value="(conditions) => set({ conditions })"
      />
      <div v-if="dry" class="mt-2" data-test="dry-run">
        <p>
          <b>{{ dry.found }}</b> {{ dry.found === 1 ? 'message' : 'messages' }} of the last 30 days
          would have been taken.
        </p>
        <ul class="text-ink-soft max-h-32 overflow-auto">
          <li v-for="line in dry.newest" :key="line.messageId" class="flex gap-2">
            <span class="w-32 shrink-0">{{ moment(line.sentAt) }}</span>
            <RouterLink class="hover:text-kelp truncate" :to="`/intake/${line.messageId}`"
              >{{ line.from
              }}<template v-if="line.subject">, {{ line.subject }}</template></RouterLink
            >
          </li>
        </ul>
      </div>
    </fieldset>
    <div class="flex flex-wrap gap-2">
      <button class="btn btn-main" type="submit" data-test="recipe-save">Save</button>
      <button class="btn btn-quiet" type="button" @click="emit('cancel')">Cancel</button>
      <button v-if="known" class="btn ml-auto" type="button" @click="emit('remove')">Delete</button>
    </div>
  </form>
</template>
