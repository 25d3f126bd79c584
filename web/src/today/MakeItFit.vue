<script setup lang="ts">
import type { MoveView } from '@/api/client'
import { planFor } from '@/today/plan'
import { moved } from '@/today/words'
import Floating from '@/ui/Floating.vue'
import KeyHint from '@/ui/KeyHint.vue'
import { effortText } from '@/ui/effort'
import { day } from '@/ui/time'

/** What to move so that it fits: all of it with one key, or only some. */
const { moves, group } = defineProps<{
  moves: readonly MoveView[]
  /** The view whose key accepts all. */
  group: string
}>()

function accept(some: readonly MoveView[]): void {
  void planFor(some.map((move) => ({ followUpId: move.followUpId, day: move.to })))
}
</script>

<template>
  <span class="inline-flex flex-wrap items-center gap-2" data-test="make-it-fit">
    <button class="btn btn-main h-8 max-sm:h-11" type="button" @click="accept(moves)">
      Make it fit <KeyHint :group="group" does="Make it fit" or="m" />
    </button>
    <span class="text-ink-soft">{{ moved(moves) }}</span>
    <Floating v-if="moves.length > 1" test="moves" quiet>
      <template #button>Show which</template>
      <ul class="w-96 max-w-full">
        <li
          v-for="move in moves"
          :key="move.followUpId"
          class="border-line flex items-center gap-2 border-b py-1"
        >
          <span class="min-w-0 flex-1">
            <span class="block truncate" :title="move.title">{{ move.title }}</span>
            <span class="text-ink-soft text-sm"
              >{{ effortText(move.minutes) }}, {{ day(move.from) }} → {{ day(move.to) }}</span
            >
          </span>
          <button class="btn h-8 max-sm:h-11" type="button" @click="accept([move])">Move</button>
        </li>
      </ul>
    </Floating>
  </span>
</template>
