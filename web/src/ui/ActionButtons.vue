<script setup lang="ts">
import KeyHint from '@/ui/KeyHint.vue'

/** What can be done with the row that is pointed at, or with all that are picked: each with its key. */
const { group, actions, picked, alone } = defineProps<{
  /** The title of the keys. */
  group: string
  actions: readonly { test: string; text: string; does: string; key: string; run: () => void }[]
  picked: boolean
  /** Whether nothing can be picked there. */
  alone?: boolean
}>()
const emit = defineEmits<{ clear: [] }>()
</script>

<template>
  <button
    v-for="each in actions"
    :key="each.test"
    class="btn h-8 max-sm:h-11"
    type="button"
    :data-test="each.test"
    @click="each.run()"
  >
    {{ each.text }}
    <KeyHint :group="group" :does="each.does" :or="each.key.toUpperCase()" />
  </button>
  <button v-if="picked" class="btn btn-quiet h-8 max-sm:h-11" type="button" @click="emit('clear')">
    Pick nothing <span class="key">Esc</span>
  </button>
  <span v-else-if="!alone" class="text-ink-soft ml-auto text-sm max-lg:hidden"
    ><span class="key">Space</span> picks several</span
  >
</template>
