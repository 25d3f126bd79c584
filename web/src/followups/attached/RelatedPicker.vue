<script setup lang="ts">
import { computed, ref } from 'vue'
import type { RelationWay } from '@/api/client'
import { relate } from '@/followups/attached/changes'
import FollowUpFinder from '@/lists/FollowUpFinder.vue'

/** Finds another follow-up by a few letters, and says how it stands to this one. */
const { id, known } = defineProps<{
  id: string
  /** Those that have to do with it already. */
  known: ReadonlySet<string>
}>()
const emit = defineEmits<{ close: [] }>()

const WAYS: readonly { way: RelationWay; text: string }[] = [
  { way: 'NEEDED_FIRST', text: 'is needed first' },
  { way: 'HELD_BACK', text: 'has to wait for this one' },
  { way: 'TOGETHER', text: 'belongs with it' },
]
const way = ref<RelationWay>('NEEDED_FIRST')
const others = computed(() => new Set([...known, id]))

async function take(otherId: string): Promise<void> {
  if ((await relate(id, otherId, way.value)) !== undefined) {
    emit('close')
  }
}
</script>

<template>
  <FollowUpFinder :without="others" @take="(line) => void take(line.id)" @close="emit('close')">
    <select v-model="way" class="field h-8 w-auto" aria-label="How it stands" data-test="way">
      <option v-for="each in WAYS" :key="each.way" :value="each.way">{{ each.text }}</option>
    </select>
  </FollowUpFinder>
</template>
