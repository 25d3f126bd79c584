<script setup lang="ts">
import { Popover, PopoverButton, PopoverPanel } from '@headlessui/vue'
import { computed, ref, watch } from 'vue'
import type { QuickChoice } from '@/api/client'
import { useDay } from '@/api/queries'
import Calendar from '@/ui/Calendar.vue'
import { choiceKey } from '@/ui/choiceKey'
import { dayNotice } from '@/ui/dayNotice'
import TimeField from '@/ui/TimeField.vue'
import TypedDay from '@/ui/TypedDay.vue'
import { day as dayText, replyBy } from '@/ui/time'

const { choices, above, sender, letter, brief } = defineProps<{
  choices: readonly QuickChoice[]
  /** Whom a number of working days can be remembered for. */
  sender?: string
  above?: boolean
  letter?: string
  /** Whether a full day or a day off is told by a word, with the rest behind it. */
  brief?: boolean
}>()
const emit = defineEmits<{ remember: [days: number] }>()
const always = ref(2)
const chosenDay = defineModel<string | null>('day', { required: true })
const chosenTime = defineModel<string | null>('time', { required: true })
const firm = defineModel<boolean>('firm', { required: true })

const time = ref(chosenTime.value?.slice(0, 5) ?? '')
watch(time, (value) => {
  chosenTime.value = value === '' ? null : value
})
const shown = computed(() =>
  chosenDay.value ? replyBy(chosenDay.value, chosenTime.value) : 'no date',
)

const known = useDay(chosenDay)
const notice = computed(() => (known.data.value ? dayNotice(known.data.value) : ''))

function typed(isoDay: string, at: string | null, close: () => void): void {
  time.value = at ?? ''
  choose(isoDay, close)
}

function onKey(event: KeyboardEvent, close: () => void): void {
  const choice = choiceKey(event, choices, event.currentTarget as HTMLElement)
  if (choice) {
    choose(choice.day, close)
  }
}

/** The first choice has the focus: a digit takes one, a letter begins a date in words. */
const vFirst = {
  mounted(element: HTMLElement) {
    element.querySelector('button')?.focus()
  },
}

function choose(isoDay: string | null, close: () => void): void {
  chosenDay.value = isoDay
  if (isoDay === null) {
    time.value = ''
  }
  close()
}
</script>

<template>
  <Popover class="relative inline-block">
    <PopoverButton class="part" data-test="reply-by" :data-letter="letter">
      <span class="sr-only">Reply by</span>
      <span class="font-semibold">{{ shown }}</span>
      <span v-if="letter" class="key">{{ letter.toUpperCase() }}</span>
    </PopoverButton>
    <PopoverPanel
      v-slot="{ close }"
      class="floating absolute left-0 z-30 flex w-max max-w-[calc(100vw-24px)] flex-wrap gap-4 p-3"
      :class="above ? 'bottom-full mb-1' : 'top-full mt-1'"
      data-keys="own"
    >
      <div
        v-first
        class="flex w-64 flex-col gap-1 whitespace-nowrap"
        @keydown="(event: KeyboardEvent) => onKey(event, close)"
      >
        <TypedDay @choose="(isoDay, at) => typed(isoDay, at, close)" />
        <button
          v-for="(choice, i) in choices"
          :key="choice.label"
          type="button"
          class="hover:bg-kelp-wash flex h-8 items-center justify-between gap-3 rounded px-2 text-left"
          :class="choice.day === chosenDay ? 'bg-kelp-wash' : ''"
          @click="choose(choice.day, close)"
        >
          <span>{{ choice.label }}</span>
          <span class="text-ink-soft"
            >{{ dayText(choice.day) }} <span v-if="i < 9" class="key">{{ i + 1 }}</span></span
          >
        </button>
        <button
          type="button"
          class="hover:bg-kelp-wash h-8 rounded px-2 text-left"
          @click="choose(null, close)"
        >
          No date
        </button>
      </div>
      <div class="w-60">
        <Calendar :chosen="chosenDay" @choose="(isoDay) => choose(isoDay, close)" />
        <div class="mt-2 flex items-center gap-2">
          at <TimeField v-model="time" label="At what time" optional :disabled="!chosenDay" />
          <span class="text-ink-soft">or any time</span>
        </div>
        <div v-if="sender" class="border-line mt-2 border-t pt-2">
          <label
            >Always for {{ sender }}:
            <input
              v-model.number="always"
              type="number"
              min="0"
              max="90"
              class="field inline-block w-16"
            />
            working days</label
          >
          <button
            class="btn mt-1 h-7"
            type="button"
            @click="
              () => {
                emit('remember', always)
                close()
              }
            "
          >
            Remember
          </button>
        </div>
      </div>
    </PopoverPanel>
  </Popover>
  <button
    v-if="chosenDay"
    type="button"
    class="part ml-1"
    :aria-pressed="firm"
    :title="firm ? 'Somebody set this date and missing it costs something' : 'My own aim'"
    data-test="firm"
    :data-letter="letter ? 'd' : undefined"
    @click="firm = !firm"
  >
    {{ firm ? 'firm' : 'flexible' }}
    <span v-if="letter" class="key">D</span>
  </button>
  <span
    v-if="chosenDay && notice"
    class="text-brass-ink ml-1"
    :title="brief ? notice : undefined"
    data-test="day-notice"
    >{{
      brief ? (known.data.value?.full ? 'full' : 'day off') : `${dayText(chosenDay)} ${notice}`
    }}</span
  >
</template>
