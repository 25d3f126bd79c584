<script setup lang="ts">
import { computed } from 'vue'
import { shownKey } from '@/ui/keys'

/** The key that does something, as the account has it; `or` where nothing is bound yet. */
const { group, does, or } = defineProps<{ group: string; does: string; or: string }>()
const shown = computed(() => shownKey(group, does) || or)
</script>

<template>
  <span class="key">{{ shown }}</span>
</template>
