<script setup lang="ts">
import { nextTick, onMounted, useTemplateRef, watch } from 'vue'
import { useRecipePlans } from '@/api/queries'

/** The recipes with what each would do to this message; its key runs it. */
const { messageId } = defineProps<{ messageId: string }>()
const emit = defineEmits<{ run: [recipeId: string]; cancel: [] }>()
const plans = useRecipePlans(() => messageId)
const root = useTemplateRef<HTMLElement>('root')

async function focusFirst(): Promise<void> {
  await nextTick()
  root.value?.querySelector<HTMLElement>('button')?.focus()
}
onMounted(focusFirst)
watch(plans.data, focusFirst)

function onKey(event: KeyboardEvent): void {
  const plan = plans.data.value?.find((each) => each.letter === event.key.toLowerCase())
  if (plan && !event.ctrlKey && !event.metaKey && !event.altKey) {
    event.preventDefault()
    emit('run', plan.recipeId)
  }
}
</script>

<template>
  <div
    ref="root"
    data-test="recipes"
    data-keys="own"
    @keydown.esc.stop="emit('cancel')"
    @keydown="onKey"
  >
    <p class="mb-1.5 font-semibold">Recipes, and what each would do here</p>
    <ul class="max-h-64 overflow-auto">
      <li v-for="plan in plans.data.value ?? []" :key="plan.recipeId">
        <button
          type="button"
          class="hover:bg-surface focus:bg-kelp-wash grid min-h-8 w-full grid-cols-[22px_minmax(90px,160px)_1fr] items-baseline gap-3 rounded px-2 py-1 text-left outline-offset-[-2px]"
          @click="emit('run', plan.recipeId)"
        >
          <span class="key">{{ plan.letter?.toUpperCase() ?? '·' }}</span>
          <b class="truncate">{{ plan.name }}</b>
          <span class="text-ink-soft min-w-0">{{ plan.steps.join(', ') }}</span>
        </button>
      </li>
    </ul>
    <p v-if="plans.isError.value" class="text-rust">{{ plans.error.value?.message }}</p>
    <p v-else-if="plans.data.value?.length === 0">
      No recipe yet. A recipe does several steps in one key.
    </p>
    <div class="mt-2 flex justify-end gap-2">
      <RouterLink class="btn" to="/settings/recipes">Write recipes</RouterLink>
      <button class="btn btn-quiet" type="button" @click="emit('cancel')">
        Cancel <span class="key">Esc</span>
      </button>
    </div>
  </div>
</template>
