<script setup lang="ts">
import { Popover, PopoverButton, PopoverPanel } from '@headlessui/vue'
import { computed } from 'vue'
import { undo } from '@/api/commands'
import { useIntake } from '@/api/queries'
import { heldBack } from '@/reminders/words'
import { timeLeft, useSitting } from '@/intake/sitting'

const sitting = useSitting()

/** How many are left and how long that takes, and what was decided in this sitting. */
const { left } = defineProps<{ left: number }>()
const intake = useIntake()
const held = computed(() => heldBack(intake.data.value?.heldBack ?? null))
const time = computed(() => timeLeft(left, sitting.decided))
const newestFirst = computed(() => [...sitting.decided].reverse())
</script>

<template>
  <div
    class="border-line bg-paper text-ink-soft flex h-9 shrink-0 items-center justify-between border-t px-3"
    data-test="progress"
  >
    <span
      >{{ left }} left<template v-if="time">, {{ time }} at this pace</template
      ><template v-if="held"> · {{ held }}</template></span
    >
    <Popover v-if="sitting.decided.length" class="relative">
      <PopoverButton class="btn btn-quiet h-7 px-1.5" data-test="decided-here"
        >{{ sitting.messages }} decided in this sitting</PopoverButton
      >
      <PopoverPanel
        focus
        class="floating absolute right-0 bottom-full z-30 mb-1 max-h-80 w-[min(380px,calc(100vw-24px))] overflow-auto p-1"
        data-keys="own"
      >
        <ul>
          <li
            v-for="one in newestFirst"
            :key="one.commandId"
            class="flex min-h-8 items-center justify-between gap-2 px-2"
          >
            <span class="text-ink truncate" :title="one.label">{{ one.label }}</span>
            <button
              class="btn btn-quiet h-7 px-1.5"
              type="button"
              @click="() => void undo(one.commandId)"
            >
              Undo
            </button>
          </li>
        </ul>
      </PopoverPanel>
    </Popover>
  </div>
</template>
