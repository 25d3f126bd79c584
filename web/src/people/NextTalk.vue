<script setup lang="ts">
import { ref, useTemplateRef } from 'vue'
import { newId, type PersonView } from '@/api/client'
import { dropMatter, saveMatter } from '@/people/changes'
import RemoveButton from '@/ui/RemoveButton.vue'

/** What waits for the next talk with somebody: written down when it comes to mind, ticked off while talking. */
const { id, items } = defineProps<{ id: string; items: PersonView['talk'] }>()

const typed = ref('')
const field = useTemplateRef<HTMLInputElement>('field')
defineExpose({
  focus: () => {
    field.value?.focus()
  },
})

async function add(): Promise<void> {
  const text = typed.value.trim()
  if (text !== '') {
    typed.value = ''
    if ((await saveMatter(id, { id: newId(), text, done: false })) === undefined) {
      // What could not be kept is not lost.
      typed.value = typed.value === '' ? text : typed.value
    }
  }
}
</script>

<template>
  <section aria-label="Next time we talk" data-test="next-talk">
    <h3 class="font-semibold">Next time we talk</h3>
    <ul>
      <li v-for="item in items" :key="item.id" class="border-line flex items-center gap-2 border-b">
        <label class="flex min-h-8 min-w-0 flex-1 items-center gap-2 max-sm:min-h-11">
          <input
            type="checkbox"
            class="size-4"
            :checked="item.done"
            @change="void saveMatter(id, { ...item, done: !item.done })"
          />
          <span class="wrap-anywhere" :class="item.done ? 'text-ink-soft line-through' : ''">{{
            item.text
          }}</span>
        </label>
        <RemoveButton :label="`Take out: ${item.text}`" @press="void dropMatter(id, item.id)" />
      </li>
    </ul>
    <form class="mt-1 flex gap-2 print:hidden" @submit.prevent="void add()">
      <input
        ref="field"
        v-model="typed"
        class="field"
        maxlength="500"
        placeholder="Something to speak about"
        aria-label="Something to speak about"
        data-test="matter"
      />
      <button class="btn max-sm:h-11" type="submit">Add</button>
    </form>
  </section>
</template>
