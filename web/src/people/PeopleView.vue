<script setup lang="ts">
import { refDebounced, useStorage } from '@vueuse/core'
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { usePeople } from '@/api/queries'
import { takeInCards } from '@/people/changes'
import PersonPane from '@/people/PersonPane.vue'
import view from '@/people/view'
import KeyHint from '@/ui/KeyHint.vue'
import { useKeys } from '@/ui/keys'
import Loading from '@/ui/Loading.vue'
import Note from '@/ui/Note.vue'

/** Everybody who has written or was written to, those heard of last first. */
const PAUSE_MS = 150

const route = useRoute()
const router = useRouter()
const words = ref('')
const people = usePeople(refDebounced(words, PAUSE_MS))
const lines = computed(() => people.data.value ?? [])
const openId = computed(() =>
  typeof route.params.id === 'string' && route.params.id ? route.params.id : undefined,
)
const place = computed(() =>
  shownLines.value.findIndex(
    (line) => line.id === openId.value || line.addresses.includes(openId.value ?? ''),
  ),
)
const byHouse = useStorage('people-by-house', false)
/** Everybody in one list, or house by house; who is of no house comes last. */
const groups = computed(() => {
  if (!byHouse.value) {
    return [{ house: '', lines: lines.value }]
  }
  const houses = new Map<string, typeof lines.value>()
  for (const line of lines.value) {
    houses.set(line.organisation, [...(houses.get(line.organisation) ?? []), line])
  }
  return [...houses]
    .map(([house, of]) => ({ house, lines: of }))
    .sort((a, b) => (a.house === '' ? 1 : b.house === '' ? -1 : a.house.localeCompare(b.house)))
})
const shownLines = computed(() => groups.value.flatMap((group) => group.lines))

async function takeIn(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement
  for (const file of input.files ?? []) {
    await takeInCards(file)
  }
  input.value = ''
}

const field = useTemplateRef<HTMLInputElement>('field')

function open(id: string | undefined): void {
  if (id !== undefined) {
    void router.replace({ name: 'people', params: { id } })
  }
}

/** Whoever is shown is in sight in the list too. */
watch(place, () => {
  void nextTick(() => {
    document.querySelector('[data-person][aria-current=true]')?.scrollIntoView({
      block: 'nearest',
    })
  })
})

function step(by: number): void {
  open(shownLines.value[Math.min(Math.max(place.value + by, 0), lines.value.length - 1)]?.id)
}

useKeys(view.name, [
  {
    ...view.keys.next,
    run: () => {
      step(1)
    },
  },
  {
    ...view.keys.before,
    run: () => {
      step(-1)
    },
  },
  {
    ...view.keys.look,
    run: () => {
      field.value?.focus()
    },
  },
])

function close(): void {
  void router.replace({ name: 'people', params: { id: '' } })
}
</script>

<template>
  <div class="flex h-full">
    <div
      class="border-line flex w-80 shrink-0 flex-col border-r px-3 py-2 max-sm:w-full print:hidden"
      :class="openId ? 'max-sm:hidden' : ''"
    >
      <h1 class="text-lg font-semibold">People</h1>
      <div class="mt-1 flex items-center gap-2">
        <input
          ref="field"
          v-model="words"
          class="field"
          maxlength="200"
          placeholder="A name or an address"
          aria-label="A name or an address"
          data-test="look-for"
          @keydown.down.prevent="step(1)"
          @keydown.up.prevent="step(-1)"
          @keydown.esc="((words = ''), field?.blur())"
        />
        <KeyHint class="max-sm:hidden" :group="view.name" :does="view.keys.look.does" or="L" />
      </div>
      <Loading v-if="people.isPending.value" />
      <Note v-else-if="people.isError.value" title="People could not be loaded" problem>
        <p>{{ people.error.value?.message }}</p>
        <button class="btn" type="button" @click="void people.refetch()">Try again</button>
      </Note>
      <p v-else-if="lines.length === 0" class="text-ink-soft mt-3">
        {{
          words === ''
            ? 'Whoever writes to you, or is written to, appears here.'
            : 'Nobody has such a name or address.'
        }}
      </p>
      <div v-else class="mt-1 min-h-0 flex-1 overflow-auto" data-test="people">
        <section v-for="group in groups" :key="group.house" :aria-label="group.house || 'People'">
          <h2
            v-if="byHouse"
            class="bg-paper border-line text-ink-soft sticky top-0 border-b px-2 py-1 text-sm font-semibold"
            data-test="house"
          >
            {{ group.house || 'Of no house' }}
            <span class="font-normal">{{ group.lines.length }}</span>
          </h2>
          <ul>
            <li v-for="line in group.lines" :key="line.id">
              <button
                type="button"
                class="border-line flex min-h-10 w-full items-center gap-2 border-b border-l-2 px-2 text-left max-sm:min-h-12"
                :class="
                  shownLines[place] === line
                    ? 'bg-kelp-wash border-l-kelp'
                    : 'hover:bg-surface border-l-transparent'
                "
                :aria-current="shownLines[place] === line"
                :data-person="line.id"
                @click="open(line.id)"
              >
                <span class="min-w-0 flex-1">
                  <bdi class="block truncate font-semibold">{{ line.name }}</bdi>
                  <span class="text-ink-soft block truncate text-sm">{{
                    line.addresses.join(', ')
                  }}</span>
                </span>
                <span class="text-right text-sm whitespace-nowrap">
                  <span v-if="line.owed" class="text-kelp block">I owe {{ line.owed }}</span>
                  <span v-if="line.owing" class="text-dusk block">owes {{ line.owing }}</span>
                </span>
              </button>
            </li>
          </ul>
        </section>
      </div>
      <div class="border-line flex flex-wrap items-center gap-x-3 border-t pt-1.5 text-sm">
        <label class="flex items-center gap-1.5 max-sm:h-11">
          <input v-model="byHouse" type="checkbox" data-test="by-house" /> by organisation
        </label>
        <label class="hover:text-kelp ml-auto cursor-pointer underline focus-within:outline-2">
          vCards in
          <input
            class="sr-only"
            type="file"
            accept=".vcf,text/vcard"
            multiple
            data-test="cards-in"
            @change="void takeIn($event)"
          />
        </label>
        <a class="hover:text-kelp underline" href="/api/people.vcf" download data-test="cards-out"
          >vCards out</a
        >
      </div>
    </div>
    <PersonPane v-if="openId" :id="openId" :key="openId" @close="close" />
    <Note v-else class="max-sm:hidden" title="Nobody is chosen">
      <p>
        What is open with somebody, what waits for the next talk and all their addresses stand here.
      </p>
    </Note>
  </div>
</template>
