<script setup lang="ts">
import { watchDebounced } from '@vueuse/core'
import { computed, onMounted, ref, useTemplateRef } from 'vue'
import { client, unwrap, type DayView, type QuickChoice } from '@/api/client'
import { choiceOf, movedChoice, numbered } from '@/ui/dayChoices'
import { dayNotice } from '@/ui/dayNotice'
import { day as dayText, replyBy } from '@/ui/time'

/**
 * Chooses a day: by words, or one of those on offer by its number. The field has the focus at once; Enter takes what is
 * marked, and nothing that is typed here does anything elsewhere. The same number means the same day everywhere.
 */
const {
  choices = [],
  from = '',
  chosen = null,
  unfocused,
  inRow,
  label = 'A date in words',
} = defineProps<{
  choices?: readonly QuickChoice[]
  /** The first day that may be chosen of those on offer. */
  from?: string
  chosen?: string | null
  /** Whether the field leaves the focus where it is, as it does on a touch screen: the keyboard would cover the rest. */
  unfocused?: boolean
  /** Whether the choices stand beside each other. */
  inRow?: boolean
  label?: string
}>()
const emit = defineEmits<{ choose: [day: string, time: string | null] }>()

const text = ref('')
const found = ref<DayView>()
const moved = ref<number>()
const input = useTemplateRef<HTMLInputElement>('input')
const offered = computed(() => numbered(choices, from))
const marked = computed(() => choiceOf(text.value, offered.value) ?? moved.value)

onMounted(() => {
  if (!unfocused && !matchMedia('(pointer: coarse)').matches) {
    input.value?.focus()
  }
})

async function read(typed: string): Promise<DayView | undefined> {
  if (typed.trim() === '' || choiceOf(typed, offered.value) !== undefined) {
    return undefined
  }
  try {
    return await unwrap(client.GET('/api/day', { params: { query: { text: typed } } }))
  } catch {
    return undefined
  }
}

watchDebounced(
  text,
  async (typed) => {
    const view = await read(typed)
    if (typed === text.value) {
      found.value = view
    }
  },
  { debounce: 80 },
)

async function take(): Promise<void> {
  const choice = offered.value.find((each) => each.number === marked.value)
  if (choice) {
    emit('choose', choice.day, null)
    return
  }
  const view = await read(text.value)
  found.value = view
  if (view?.day) {
    emit('choose', view.day, view.time?.slice(0, 5) ?? null)
    text.value = ''
  }
}

/** Keys of the field: all but those that lead out of it end here. */
function onKey(event: KeyboardEvent): void {
  if (event.key === 'Escape' || event.key === 'Tab') {
    return
  }
  event.stopPropagation()
  if (event.key === 'Enter') {
    event.preventDefault()
    void take()
  } else if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
    event.preventDefault()
    text.value = ''
    moved.value = movedChoice(offered.value, marked.value, event.key === 'ArrowDown' ? 1 : -1)
  }
}

/** A letter or a digit that is pressed on a choice goes into the field. */
function intoField(event: KeyboardEvent): void {
  if (/^[a-z0-9]$/i.test(event.key) && !event.ctrlKey && !event.metaKey && !event.altKey) {
    event.preventDefault()
    event.stopPropagation()
    text.value += event.key
    input.value?.focus()
  }
}
</script>

<template>
  <div data-keys="own" :class="inRow ? 'flex flex-wrap items-start gap-2' : ''">
    <div :class="inRow ? 'w-64 max-w-full' : ''">
      <input
        ref="input"
        v-model="text"
        class="field"
        maxlength="80"
        placeholder="fri, in 3 days, end of month noon"
        :aria-label="label"
        autocomplete="off"
        data-test="typed-day"
        @keydown="onKey"
        @input="moved = undefined"
      />
      <p class="min-h-5 pt-0.5 text-sm" aria-live="polite" data-test="typed-day-read">
        <template v-if="marked !== undefined">
          <b>{{ offered.find((each) => each.number === marked)?.label }}</b>
          <span class="key ml-1">Enter</span>
        </template>
        <template v-else-if="found?.day">
          <b>{{ replyBy(found.day, found.time ?? null) }}</b>
          <span class="text-brass-ink"> {{ dayNotice(found) }}</span>
          <span class="key ml-1">Enter</span>
        </template>
        <span v-else-if="found && text.trim() !== ''" class="text-ink-soft"
          >No date is seen in this yet.</span
        >
      </p>
    </div>
    <div :class="inRow ? 'flex min-w-0 flex-1 flex-wrap gap-2' : 'flex flex-col'">
      <button
        v-for="choice in offered"
        :key="choice.number"
        type="button"
        :class="[
          inRow
            ? 'btn h-9 sm:h-8'
            : 'hover:bg-kelp-wash flex h-8 w-full items-center justify-between gap-3 rounded px-2 text-left',
          choice.number === marked || (marked === undefined && choice.day === chosen)
            ? 'bg-kelp-wash'
            : '',
        ]"
        :data-choice="choice.number"
        @click="emit('choose', choice.day, null)"
        @keydown="intoField"
      >
        <span>{{ choice.label }}</span>
        <span class="text-ink-soft"
          >{{ dayText(choice.day) }}
          <span v-if="!unfocused" class="key">{{ choice.number }}</span></span
        >
      </button>
      <slot />
    </div>
  </div>
</template>
