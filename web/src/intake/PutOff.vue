<script setup lang="ts">
import { computed, onMounted, useTemplateRef } from 'vue'
import type { QuickChoice } from '@/api/client'
import { choiceKey } from '@/ui/choiceKey'
import TypedDay from '@/ui/TypedDay.vue'
import { day as dayText, today as todayNow } from '@/ui/time'

/** Until which day one or several messages stay out of sight. */
const { choices, count = 1 } = defineProps<{ choices: readonly QuickChoice[]; count?: number }>()
const emit = defineEmits<{ until: [day: string]; cancel: [] }>()

const root = useTemplateRef<HTMLElement>('root')
const offered = computed(() => {
  const today = todayNow()
  return choices.filter((choice) => choice.day > today).slice(0, 9)
})

function onKey(event: KeyboardEvent): void {
  const choice = root.value ? choiceKey(event, offered.value, root.value) : undefined
  if (choice) {
    emit('until', choice.day)
  }
}

onMounted(() => root.value?.querySelector('button')?.focus())
</script>

<template>
  <div
    ref="root"
    data-test="put-off"
    data-keys="own"
    @keydown.esc.stop="emit('cancel')"
    @keydown="onKey"
  >
    <p class="mb-1.5 font-semibold">
      Put {{ count === 1 ? 'it' : `all ${count}` }} off: out of Intake until
    </p>
    <div class="flex flex-wrap items-start gap-2">
      <button
        v-for="(choice, i) in offered"
        :key="choice.day"
        class="btn h-9 sm:h-8"
        type="button"
        @click="emit('until', choice.day)"
      >
        {{ choice.label }} <span class="text-ink-soft">{{ dayText(choice.day) }}</span>
        <span class="key">{{ i + 1 }}</span>
      </button>
      <TypedDay class="w-64" @choose="(isoDay) => emit('until', isoDay)" />
      <button class="btn btn-quiet" type="button" @click="emit('cancel')">
        Cancel <span class="key">Esc</span>
      </button>
    </div>
  </div>
</template>
