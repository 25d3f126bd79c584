<script setup lang="ts">
import { PopoverContent, PopoverRoot, PopoverTrigger } from 'reka-ui'
import { ref } from 'vue'

/** A button with a panel that places itself where there is room, and gives the focus back when it closes. */
const { letter = '', quiet } = defineProps<{
  /** The letter that leads to the button within a form. */
  letter?: string
  test: string
  /** Whether the button has no border until it is pointed at. */
  quiet?: boolean
}>()
const open = ref(false)

function close(): void {
  open.value = false
}

/** Nothing that is pressed in the panel means something around it. */
function onKey(event: KeyboardEvent): void {
  if (event.key !== 'Tab') {
    event.stopPropagation()
  }
  if (event.key === 'Escape') {
    event.preventDefault()
    close()
  }
}
</script>

<template>
  <PopoverRoot v-model:open="open">
    <PopoverTrigger
      class="part"
      :class="quiet ? 'border-transparent bg-transparent' : ''"
      :data-test="test"
      :data-letter="letter || undefined"
    >
      <slot name="button" />
      <span v-if="letter" class="key">{{ letter.toUpperCase() }}</span>
    </PopoverTrigger>
    <PopoverContent
      class="floating z-50 max-h-(--reka-popover-content-available-height) max-w-[calc(100vw-24px)] overflow-auto p-3"
      position-strategy="fixed"
      align="start"
      :side-offset="4"
      :collision-padding="8"
      data-keys="own"
      @open-auto-focus.prevent
      @keydown="onKey"
    >
      <slot :close="close" />
    </PopoverContent>
  </PopoverRoot>
</template>
