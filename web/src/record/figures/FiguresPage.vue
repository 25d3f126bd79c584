<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { client, unwrap, type CategoryView, type FiguresView } from '@/api/client'
import { run } from '@/api/commands'
import { useCategories } from '@/api/queries'
import FigurePart from '@/record/figures/FigurePart.vue'
import {
  agePart,
  effortPart,
  flowPart,
  othersPart,
  punctualityPart,
  responsePart,
} from '@/record/figures/parts'
import { habitWords } from '@/record/figures/words'
import RecordHeading from '@/record/RecordHeading.vue'
import Chip from '@/ui/Chip.vue'
import { effortText } from '@/ui/effort'
import Loading from '@/ui/Loading.vue'
import Note from '@/ui/Note.vue'
import { day, shiftDay, today } from '@/ui/time'

/** What the record says about how the work goes: each figure in a sentence, drawn, as a table, with the rows behind it. */
const SPANS = [
  { text: 'four weeks', days: 27 },
  { text: 'a quarter', days: undefined },
  { text: 'half a year', days: 181 },
  { text: 'a year', days: 364 },
] as const
const WAYS = [
  { by: 'WEEK', text: 'by week' },
  { by: 'PERSON', text: 'by person' },
  { by: 'CATEGORY', text: 'by category' },
] as const

const route = useRoute()
const router = useRouter()
const from = computed(() => (typeof route.query.from === 'string' ? route.query.from : undefined))
const to = computed(() => (typeof route.query.to === 'string' ? route.query.to : undefined))
const categories = useCategories()
const known = computed(() => categories.data.value ?? [])
const by = ref<(typeof WAYS)[number]['by']>('WEEK')
const figures = useQuery({
  queryKey: computed(() => ['figures', from.value, to.value]),
  queryFn: () =>
    unwrap(
      client.GET('/api/record/figures', {
        params: {
          query: {
            ...(from.value ? { from: from.value } : {}),
            ...(to.value ? { to: to.value } : {}),
          },
        },
      }),
    ),
  placeholderData: (previous: FiguresView | undefined) => previous,
})
const parts = computed(() => {
  const view = figures.data.value
  return view
    ? {
        responses: responsePart(view, by.value, known.value),
        others: [
          punctualityPart(view),
          flowPart(view),
          agePart(view),
          othersPart(view),
          effortPart(view, known.value),
        ],
      }
    : undefined
})
const better = computed(() =>
  (figures.data.value?.efforts ?? []).flatMap((effort) => {
    const category = known.value.find((each) => each.id === effort.categoryId)
    return category && effort.proposed !== null ? [{ category, minutes: effort.proposed }] : []
  }),
)

function choose(days: number | undefined): void {
  void router.replace({ query: days === undefined ? {} : { from: shiftDay(today(), -days) } })
}

const isChosen = (days: number | undefined) =>
  from.value === (days === undefined ? undefined : shiftDay(today(), -days))

function take(category: CategoryView, minutes: number): void {
  void run((header) =>
    client.PUT('/api/categories/{id}', {
      params: { path: { id: category.id }, query: { version: category.version }, header },
      body: {
        name: category.name,
        hue: category.hue,
        letter: category.letter,
        replyDays: category.replyDays,
        effortMinutes: minutes,
      },
    }),
  )
}

const recipeOf = (habit: FiguresView['habits'][number]) => ({
  path: '/settings/recipes',
  query: {
    [habit.list ? 'list' : 'sender']: habit.party,
    step: habit.decision,
    ...(habit.categoryId ? { category: habit.categoryId } : {}),
  },
})
</script>

<template>
  <div class="flex h-full flex-col">
    <div
      class="mx-auto flex w-full max-w-5xl shrink-0 flex-wrap items-center gap-x-2 gap-y-1.5 px-3 py-2"
    >
      <RecordHeading />
      <span class="flex flex-wrap items-center gap-1.5 print:hidden">
        <Chip
          v-for="each in SPANS"
          :key="each.text"
          :on="isChosen(each.days)"
          @click="choose(each.days)"
        >
          {{ each.text }}
        </Chip>
      </span>
      <span v-if="figures.data.value" class="text-ink-soft ml-auto text-sm"
        >{{ day(figures.data.value.from) }} to {{ day(figures.data.value.to) }}, in working
        time</span
      >
    </div>
    <Loading v-if="figures.isPending.value" />
    <Note v-else-if="figures.isError.value" title="The figures could not be made" problem>
      <p>{{ figures.error.value?.message }} Nothing was changed.</p>
      <button class="btn" type="button" @click="void figures.refetch()">Try again</button>
    </Note>
    <div v-else-if="parts && figures.data.value" class="min-h-0 flex-1 overflow-y-auto pb-10">
      <div class="mx-auto grid max-w-5xl gap-x-8 gap-y-6 px-3 pt-1 lg:grid-cols-2">
        <FigurePart v-bind="parts.responses">
          <span class="mt-2 flex gap-1 print:hidden">
            <Chip
              v-for="way in WAYS"
              :key="way.by"
              :on="by === way.by"
              :data-test="`responses-${way.by}`"
              @click="by = way.by"
            >
              {{ way.text }}
            </Chip>
          </span>
        </FigurePart>
        <FigurePart v-for="part in parts.others" :key="part.test" v-bind="part">
          <p
            v-for="one in part.test === 'figure-efforts' ? better : []"
            :key="one.category.id"
            class="bg-brass-wash mt-2 flex flex-wrap items-center gap-2 rounded px-3 py-1.5"
          >
            {{ one.category.name }} usually takes {{ effortText(one.minutes) }}, and is proposed
            with {{ effortText(one.category.effortMinutes ?? 15) }}.
            <button
              class="btn ml-auto h-7 max-sm:h-11"
              type="button"
              data-test="take-effort"
              @click="take(one.category, one.minutes)"
            >
              Propose {{ effortText(one.minutes) }}
            </button>
          </p>
        </FigurePart>
        <section class="border-line border-t pt-3" data-test="figure-habits">
          <h2 class="text-ink-soft text-sm">Decisions that repeat themselves</h2>
          <p class="mb-2 font-semibold">{{ habitWords(figures.data.value) }}</p>
          <ul>
            <li
              v-for="habit in figures.data.value.habits"
              :key="habit.party"
              class="border-line flex flex-wrap items-center gap-2 border-b py-1"
            >
              <RouterLink
                class="hover:text-kelp min-w-0 truncate underline"
                :to="{ name: 'find', query: { person: habit.party } }"
                ><bdi>{{ habit.name || habit.party }}</bdi></RouterLink
              >
              <span class="text-ink-soft text-sm"
                >{{ habit.decisions }} times
                {{ habit.decision === 'NOTHING' ? 'let go' : 'made into a follow-up' }}</span
              >
              <RouterLink class="btn ml-auto h-7 max-sm:h-11" :to="recipeOf(habit)"
                >Make a recipe</RouterLink
              >
            </li>
          </ul>
        </section>
      </div>
    </div>
  </div>
</template>
