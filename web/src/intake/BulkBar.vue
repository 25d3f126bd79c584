<script setup lang="ts">
import { computed, nextTick, ref, useTemplateRef } from 'vue'
import type { CategoryView, IntakeLine, QuickChoice } from '@/api/client'
import type { Alike } from '@/intake/alike'
import HandOver from '@/intake/HandOver.vue'
import PutOff from '@/intake/PutOff.vue'
import type { BulkChoice } from '@/intake/usePicking'
import CategoryMark from '@/ui/CategoryMark.vue'
import { useKeys } from '@/ui/keys'
import DayChooser from '@/ui/DayChooser.vue'

/** One decision for all picked messages. */
const { picked, fold, ways, categories, choices } = defineProps<{
  picked: readonly IntakeLine[]
  /** What they have in common, where they are one row of the list and not picked. */
  fold?: string | undefined
  ways: readonly Alike[]
  categories: readonly CategoryView[]
  choices: readonly QuickChoice[]
}>()
const emit = defineEmits<{
  decide: [choice: BulkChoice]
  pick: [ids: string[]]
  clear: []
  unfold: []
}>()

const mode = ref<'choose' | 'follow-up' | 'put-off' | 'alike' | 'hand-over'>('choose')
const offered = computed(() => categories.filter((category) => !category.retired))
const own = useTemplateRef<HTMLButtonElement>('own')
const from = computed(() => {
  const names = [...new Set(picked.map((line) => line.from))]
  return names.length > 3
    ? `${names.slice(0, 3).join(', ')} and ${names.length - 3} more`
    : names.join(', ')
})

async function followUp(): Promise<void> {
  mode.value = 'follow-up'
  await nextTick()
  own.value?.focus()
}

function categoryKey(event: KeyboardEvent): void {
  const typing = event.target instanceof HTMLInputElement
  const category = offered.value.find((each) => each.letter === event.key.toLowerCase())
  if (category && !typing && !event.ctrlKey && !event.metaKey && !event.altKey) {
    event.preventDefault()
    emit('decide', { decision: 'FOLLOW_UP', day: null, categoryId: category.id })
  }
}

const choosing = () => mode.value === 'choose'
useKeys('Picked messages', [
  { key: 'f', does: 'Follow up all', run: () => void followUp(), when: choosing },
  {
    key: 'n',
    does: 'Nothing to do about all',
    run: () => {
      emit('decide', { decision: 'NOTHING', day: null, categoryId: null })
    },
    when: choosing,
  },
  { key: 'h', does: 'Hand all over', run: () => (mode.value = 'hand-over'), when: choosing },
  { key: 'p', does: 'Put all off', run: () => (mode.value = 'put-off'), when: choosing },
  { key: 'm', does: 'Pick more alike', run: () => (mode.value = 'alike'), when: choosing },
  ...['1', '2', '3'].map((key) => ({
    key,
    does: `Pick alike, way ${key}`,
    run: () => {
      pickWay(key)
    },
    when: () => mode.value === 'alike',
  })),
  {
    key: 'Escape',
    does: 'Back, then pick nothing',
    run: () => {
      if (choosing()) {
        emit('clear')
      } else {
        mode.value = 'choose'
      }
    },
  },
])

function pickWay(key: string): void {
  const way = ways.find((each) => each.key === key)
  if (way) {
    emit('pick', way.ids)
    mode.value = 'choose'
  }
}
</script>

<template>
  <div role="group" aria-label="Decision for the picked messages" data-test="several">
    <p v-if="mode === 'choose'" class="mb-1.5">
      <template v-if="fold"
        ><b>{{ picked.length }} messages</b> <bdi>{{ fold }}</bdi>, decided as one</template
      >
      <template v-else
        ><b>{{ picked.length }} picked</b
        ><span class="text-ink-soft"> from {{ from }}</span></template
      >
    </p>
    <div v-if="mode === 'choose'" class="grid grid-cols-2 gap-2 sm:flex sm:flex-wrap">
      <button
        class="btn btn-main h-9 sm:h-8"
        type="button"
        data-test="several-follow-up"
        @click="() => void followUp()"
      >
        Follow up <span class="key">F</span>
      </button>
      <button
        class="btn h-9 sm:h-8"
        type="button"
        data-test="several-nothing"
        @click="emit('decide', { decision: 'NOTHING', day: null, categoryId: null })"
      >
        Nothing to do <span class="key">N</span>
      </button>
      <button
        class="btn h-9 sm:h-8"
        type="button"
        data-test="several-hand-over"
        @click="mode = 'hand-over'"
      >
        Hand over <span class="key">H</span>
      </button>
      <button class="btn h-9 sm:h-8" type="button" @click="mode = 'put-off'">
        Put off <span class="key">P</span>
      </button>
      <button class="btn h-9 sm:h-8" type="button" @click="mode = 'alike'">
        More alike <span class="key">M</span>
      </button>
      <button
        v-if="fold"
        class="btn btn-quiet h-9 sm:h-8"
        type="button"
        data-test="show-each"
        @click="emit('unfold')"
      >
        Show each <span class="key">→</span>
      </button>
      <button v-else class="btn btn-quiet h-9 sm:h-8" type="button" @click="emit('clear')">
        Pick nothing <span class="key">Esc</span>
      </button>
    </div>
    <div v-else-if="mode === 'alike'" class="flex flex-wrap items-center gap-2">
      <span class="font-semibold">Pick all</span>
      <button
        v-for="way in ways"
        :key="way.key"
        class="btn h-9 sm:h-8"
        type="button"
        @click="pickWay(way.key)"
      >
        {{ way.label }} <span class="text-ink-soft">{{ way.ids.length }}</span>
        <span class="key">{{ way.key }}</span>
      </button>
      <button class="btn btn-quiet" type="button" @click="mode = 'choose'">
        Back <span class="key">Esc</span>
      </button>
    </div>
    <HandOver
      v-else-if="mode === 'hand-over'"
      :count="picked.length"
      @give="
        (handOver) =>
          emit('decide', { decision: 'HAND_OVER', day: null, categoryId: null, handOver })
      "
      @cancel="mode = 'choose'"
    />
    <PutOff
      v-else-if="mode === 'put-off'"
      :choices="choices"
      :count="picked.length"
      @until="(day) => emit('decide', { decision: 'PUT_OFF', day, categoryId: null })"
      @cancel="mode = 'choose'"
    />
    <div
      v-else
      class="space-y-2"
      data-keys="own"
      data-test="several-sentence"
      @keydown="categoryKey"
      @keydown.esc.stop="mode = 'choose'"
    >
      <p class="font-semibold">{{ picked.length }} follow-ups</p>
      <div class="flex flex-wrap items-start gap-2">
        <button
          ref="own"
          class="btn btn-main h-9 sm:h-8"
          type="button"
          data-test="several-own"
          @click="emit('decide', { decision: 'FOLLOW_UP', day: null, categoryId: null })"
        >
          Each as proposed <span class="key">Enter</span>
        </button>
        <span class="text-ink-soft self-center">or all by</span>
        <DayChooser
          in-row
          unfocused
          :choices="choices"
          @choose="(day) => emit('decide', { decision: 'FOLLOW_UP', day, categoryId: null })"
        />
      </div>
      <div class="flex flex-wrap items-center gap-2">
        <span class="text-ink-soft">or all in</span>
        <button
          v-for="category in offered"
          :key="category.id"
          class="btn h-8 px-2"
          type="button"
          @click="emit('decide', { decision: 'FOLLOW_UP', day: null, categoryId: category.id })"
        >
          <CategoryMark :category="category" with-name />
          <span v-if="category.letter" class="key">{{ category.letter.toUpperCase() }}</span>
        </button>
        <button class="btn btn-quiet ml-auto" type="button" @click="mode = 'choose'">
          Cancel <span class="key">Esc</span>
        </button>
      </div>
    </div>
  </div>
</template>
