<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { QuickChoice } from '@/api/client'
import { useDay } from '@/api/queries'
import Calendar from '@/ui/Calendar.vue'
import { dayNotice } from '@/ui/dayNotice'
import TimeField from '@/ui/TimeField.vue'
import DayChooser from '@/ui/DayChooser.vue'
import Floating from '@/ui/Floating.vue'
import { day as dayText, replyBy } from '@/ui/time'

const { choices, sender, letter, brief } = defineProps<{
  choices: readonly QuickChoice[]
  /** Whom a number of working days can be remembered for. */
  sender?: string
  letter?: string
  /** Whether a full day or a day off is told by a word, with the rest behind it. */
  brief?: boolean
}>()
const emit = defineEmits<{ remember: [days: number]; chosen: [] }>()
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

function choose(isoDay: string | null, at: string | null, close: () => void): void {
  chosenDay.value = isoDay
  time.value = isoDay === null ? '' : (at ?? time.value)
  close()
  emit('chosen')
}
</script>

<template>
  <Floating test="reply-by" :letter="letter">
    <template #button>
      <span class="sr-only">Reply by</span>
      <span class="font-semibold">{{ shown }}</span>
    </template>
    <template #default="{ close }">
      <div class="flex w-max max-w-full flex-wrap gap-4">
        <div class="flex w-64 flex-col gap-1 whitespace-nowrap">
          <DayChooser
            :choices="choices"
            :chosen="chosenDay"
            @choose="(isoDay, at) => choose(isoDay, at, close)"
          />
          <button
            type="button"
            class="hover:bg-kelp-wash h-8 rounded px-2 text-left"
            @click="choose(null, null, close)"
          >
            No date
          </button>
        </div>
        <div class="w-60">
          <Calendar :chosen="chosenDay" @choose="(isoDay) => choose(isoDay, null, close)" />
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
              class="btn mt-1 ml-1.5 h-7"
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
      </div>
    </template>
  </Floating>
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
