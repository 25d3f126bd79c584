<script setup lang="ts">
import { computed, ref, useTemplateRef, watch } from 'vue'
import { newId, type Arrangement } from '@/api/client'
import { useArrangements } from '@/api/followUpQueries'
import { dropArrangement, keepArrangement } from '@/followups/changes'
import view from '@/followups/view'
import { vFocus } from '@/ui/focus'
import KeyHint from '@/ui/KeyHint.vue'
import { followLetter } from '@/ui/letters'
import RemoveButton from '@/ui/RemoveButton.vue'

/** Arrangements of the list under their names: a key each, and the one that stands now can be kept. */
const { now, standsAs } = defineProps<{
  now: Pick<Arrangement, 'facet' | 'byHand' | 'only'>
  standsAs: (arrangement: Arrangement) => boolean
}>()
const emit = defineEmits<{ choose: [arrangement: Arrangement]; close: [] }>()

const kept = useArrangements()
const all = computed(() => kept.data.value ?? [])
const name = ref('')
const letter = ref('')
const problem = ref('')
const root = useTemplateRef<HTMLElement>('root')
const free = computed(() =>
  Array.from('123456789abcdefghijklmnopqrstuvwxyz').find(
    (each) => !all.value.some((arrangement) => arrangement.letter === each),
  ),
)
const same = computed(() =>
  all.value.find((each) => each.name.toLowerCase() === name.value.trim().toLowerCase()),
)
watch([name, letter], () => (problem.value = ''))

function choose(arrangement: Arrangement): void {
  emit('choose', arrangement)
  emit('close')
}

async function keep(): Promise<void> {
  const wanted = letter.value.trim().toLowerCase()
  if (name.value.trim() === '') {
    problem.value = 'Give it a name first.'
    return
  }
  const taken = all.value.find((each) => wanted !== '' && each.letter === wanted)
  if (taken && taken.id !== same.value?.id) {
    problem.value = `${wanted.toUpperCase()} belongs to ${taken.name}.`
    return
  }
  const done = await keepArrangement({
    id: same.value?.id ?? newId(),
    name: name.value.trim(),
    letter: wanted === '' ? (same.value?.letter ?? free.value ?? '') : wanted,
    ...now,
    only: [...now.only],
  })
  if (done) {
    emit('close')
  }
}

function onKey(event: KeyboardEvent): void {
  if (event.key === 'Escape') {
    event.stopPropagation()
    emit('close')
  } else if (root.value) {
    followLetter(event, root.value)
  }
}
</script>

<template>
  <div
    ref="root"
    v-focus
    class="border-line-strong bg-surface w-full rounded border p-3"
    tabindex="-1"
    role="group"
    aria-label="Arrangements"
    data-test="arrangements"
    @keydown="onKey"
  >
    <p v-if="kept.isError.value" class="text-rust" role="alert">
      Arrangements could not be loaded.
      <button class="btn h-7" type="button" @click="void kept.refetch()">Try again</button>
    </p>
    <p v-else-if="all.length === 0" class="text-ink-soft mb-2">
      No arrangement is kept yet. Group, order and narrow the list as you need it, and give that a
      name.
    </p>
    <ul class="mb-2 flex flex-wrap gap-1.5">
      <li v-for="each in all" :key="each.id" class="flex">
        <button
          class="part max-sm:h-11"
          type="button"
          :class="standsAs(each) ? 'border-kelp bg-kelp-wash font-semibold' : ''"
          :aria-pressed="standsAs(each)"
          :data-letter="each.letter || undefined"
          data-test="arrangement"
          @click="choose(each)"
        >
          <bdi>{{ each.name }}</bdi>
          <span v-if="each.letter" class="key">{{ each.letter.toUpperCase() }}</span>
        </button>
        <RemoveButton :label="`Delete ${each.name}`" bin @press="void dropArrangement(each.id)" />
      </li>
    </ul>
    <form class="flex flex-wrap items-center gap-2" @submit.prevent="void keep()">
      <label class="flex items-center gap-2"
        ><span>Keep it as it stands, as</span>
        <input v-model="name" class="field h-7 w-44" maxlength="60" data-test="arrangement-name" />
      </label>
      <label class="flex items-center gap-2"
        ><span>with the key</span>
        <input
          v-model="letter"
          class="field h-7 w-10 text-center uppercase"
          maxlength="1"
          pattern="[A-Za-z0-9]"
          :placeholder="(same?.letter || free || '').toUpperCase()"
          title="A letter or a figure"
          data-test="arrangement-letter"
        />
      </label>
      <button class="btn btn-main h-7 max-sm:h-11" type="submit">
        {{ same ? 'Keep it anew' : 'Keep it' }}
      </button>
      <button class="btn btn-quiet h-7 max-sm:h-11" type="button" @click="emit('close')">
        Close <span class="key">Esc</span>
      </button>
      <span v-if="problem" class="text-rust" role="alert">{{ problem }}</span>
      <span v-else class="text-ink-soft text-sm max-lg:hidden"
        >brought back with <KeyHint :group="view.name" :does="view.keys.arrange.does" or="A" /> and
        its key</span
      >
    </form>
  </div>
</template>
