<script setup lang="ts">
import type { CategoryView, FoundThing } from '@/api/client'
import { pieces, sortOf, stateOf } from '@/find/narrowing'
import CategoryMark from '@/ui/CategoryMark.vue'
import { shortMoment } from '@/ui/time'

/** Something found: what it is, who, when, how it stands, and the words in their sentence. */
const { thing, category, pointed } = defineProps<{
  thing: FoundThing
  category: CategoryView | undefined
  pointed: boolean
}>()
</script>

<template>
  <div
    class="border-line grid cursor-pointer grid-cols-[76px_1fr_auto] items-baseline gap-x-3 border-b border-l-2 px-2 py-1.5 max-sm:grid-cols-[1fr_auto]"
    :class="pointed ? 'bg-kelp-wash border-l-kelp' : 'border-l-transparent'"
    data-test="found"
  >
    <span class="text-ink-soft text-sm max-sm:hidden">{{ sortOf(thing) }}</span>
    <span class="min-w-0">
      <span class="flex min-w-0 items-baseline gap-2">
        <CategoryMark v-if="category" :category="category" />
        <bdi class="truncate font-semibold">{{ thing.title || 'Without a subject' }}</bdi>
        <span v-if="thing.more > 0" class="text-ink-soft text-sm whitespace-nowrap"
          >and {{ thing.more }} more in it</span
        >
      </span>
      <span class="text-ink-soft line-clamp-2 wrap-anywhere max-sm:line-clamp-3">
        <span class="sm:hidden">{{ sortOf(thing) }}{{ thing.snippet ? ': ' : '' }}</span>
        <template v-for="(piece, index) in pieces(thing.snippet, thing.hits)" :key="index"
          ><mark v-if="piece.hit" class="bg-brass-wash text-ink font-semibold">{{
            piece.text
          }}</mark
          ><template v-else>{{ piece.text }}</template></template
        >
      </span>
    </span>
    <span class="text-ink-soft flex flex-col items-end text-sm whitespace-nowrap">
      <bdi v-if="thing.who" class="max-w-44 truncate">{{ thing.who }}</bdi>
      <span v-if="thing.kind !== 'PERSON'"
        ><span
          v-if="stateOf(thing)"
          :class="
            thing.state === 'WITH_ME' || thing.state === 'IN_INTAKE' || thing.state === 'OPEN'
              ? 'text-kelp font-semibold'
              : ''
          "
          >{{ stateOf(thing) }}</span
        ><template v-if="stateOf(thing)"> · </template>{{ shortMoment(thing.at) }}</span
      >
    </span>
  </div>
</template>
