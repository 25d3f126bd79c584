<script setup lang="ts">
import { useMediaQuery, useStorage } from '@vueuse/core'
import { ChevronDown, ChevronRight } from '@lucide/vue'
import { computed, ref } from 'vue'
import type { FollowUpChoice, FollowUpLine } from '@/api/client'
import { type Arranged, useFollowUpGroups } from '@/api/followUpQueries'
import { useCategories, useIntake } from '@/api/queries'
import { decideFollowUps, orderFollowUps, setState } from '@/followups/changes'
import { peopleOf } from '@/followups/details/people'
import { byFacet, choiceFor, type FacetGroup } from '@/followups/facets'
import FollowUpBar from '@/followups/FollowUpBar.vue'
import { NOTHING_SAID } from '@/followups/changes'
import FollowUpRow from '@/followups/FollowUpRow.vue'
import { tableOf } from '@/followups/table'
import OutMenu from '@/lists/OutMenu.vue'
import { movedBy, putBefore } from '@/followups/order'
import { useRowDrag } from '@/followups/useRowDrag'
import view from '@/followups/view'
import { effortText } from '@/ui/effort'
import { useKeys } from '@/ui/keys'
import Loading from '@/ui/Loading.vue'
import Note from '@/ui/Note.vue'
import RowList from '@/ui/RowList.vue'
import { usePicks } from '@/ui/usePicks'

/** The list, in groups by one facet; one or several of it are decided with a letter. */
const { open, more, arranged, only, active } = defineProps<{
  /** Those in sight; by state those that are not, too. */
  open: readonly FollowUpLine[]
  /** What stands behind the groups. */
  more: readonly { title: string; lines: readonly FollowUpLine[] }[]
  arranged: Arranged
  /** Nothing else is shown, where there is such a set. */
  only: ReadonlySet<string> | undefined
  /** Whether its keys count. */
  active: boolean
}>()
const emit = defineEmits<{
  open: [id: string]
  /** Something was put elsewhere by hand: the order is my own from now on. */
  ordered: []
}>()

const wide = useMediaQuery('(min-width: 640px)')
const groupsQuery = useFollowUpGroups(() => arranged)
const categories = useCategories()
const intake = useIntake()
const foldedKeys = useStorage<string[]>('follow-ups-folded', [])
const folded = computed(() => new Set(foldedKeys.value))
const shown = computed(() => (only ? open.filter((line) => only.has(line.id)) : open))
const groups = computed(() =>
  byFacet(
    groupsQuery.data.value ?? [],
    arranged.facet,
    shown.value,
    only || arranged.only.length > 0 ? [] : more,
    folded.value,
    wide.value ? 32 : 52,
    arranged.only.length > 0,
  ),
)
const rows = computed(() => groups.value.flatMap((group) => group.rows))
const current = ref<string>()
const place = computed(() => rows.value.findIndex((row) => row.key === current.value))
const { picks, pick, pickStep, pickAll, pickNothing } = usePicks({
  ids: () => rows.value.map((row) => row.key),
  current: () => current.value,
  step,
})
const chosen = computed(() => {
  const picked = rows.value.filter((row) => picks.value.ids.has(row.key))
  const pointed = rows.value[place.value]
  return (picked.length > 0 ? picked : pointed ? [pointed] : []).map((row) => row.line)
})
const places = computed(() =>
  [...new Set(open.map((line) => line.place))].filter((each) => each !== ''),
)
const people = computed(() => peopleOf(open))

function step(by: number): void {
  const target = Math.min(Math.max(place.value + by, 0), rows.value.length - 1)
  current.value = rows.value[target]?.key
}

function groupOf(key: string | undefined): FacetGroup | undefined {
  return groups.value.find((group) => group.lines.some((line) => line.id === key))
}

function fold(group: FacetGroup | undefined, away: boolean): void {
  if (group) {
    const without = foldedKeys.value.filter((key) => key !== group.key)
    foldedKeys.value = away ? [...without, group.key] : without
  }
}

/** What is done leaves its place; the list goes on with what comes after it. */
async function tick(line: FollowUpLine): Promise<void> {
  const at = rows.value.findIndex((row) => row.key === line.id)
  const following = rows.value[at + 1] ?? rows.value[at - 1]
  if (current.value === line.id) {
    current.value = following?.key
  }
  await setState(line, line.state === 'OPEN' ? 'DONE' : 'OPEN')
}

async function decide(choice: Omit<FollowUpChoice, 'ids'>): Promise<void> {
  const ids = chosen.value.filter((line) => line.state === 'OPEN').map((line) => line.id)
  const gone = new Set(ids)
  const following =
    rows.value.slice(place.value).find((row) => !gone.has(row.key)) ??
    rows.value.filter((row) => !gone.has(row.key)).at(-1)
  if ((await decideFollowUps(ids, choice)) !== undefined) {
    pickNothing()
    if (['DONE', 'DROP', 'PUT_OFF'].includes(choice.kind)) {
      current.value = following?.key
    }
  }
}

const drag = useRowDrag({
  with: (key) => (picks.value.ids.has(key) ? [...picks.value.ids] : [key]),
  mayDrop: (ids, { group }) =>
    group.value !== undefined &&
    (ids.every((id) => groupOf(id) === group) || choiceFor(group, arranged.facet) !== undefined),
  drop: (ids, { group, before }) => void putInto(ids, group, before),
})
const touch = useMediaQuery('(pointer: coarse)')

/** What is dragged to another group has that group's value from then on; within its own it gets another place. */
async function putInto(
  ids: readonly string[],
  group: FacetGroup,
  before: string | undefined,
): Promise<void> {
  const entering = ids.filter((id) => groupOf(id) !== group)
  const choice = choiceFor(group, arranged.facet)
  if (entering.length > 0 && choice) {
    if ((await decideFollowUps(entering, { ...NOTHING_SAID, ...choice })) === undefined) {
      return
    }
  }
  if (entering.length === 0 || arranged.byHand) {
    const all = group.lines.map((line) => line.id)
    if ((await orderFollowUps(putBefore(all, ids, before), ids)) !== undefined) {
      emit('ordered')
    }
  }
}

async function moveBy(by: 1 | -1): Promise<void> {
  const group = groupOf(current.value)
  const ids = chosen.value.map((line) => line.id)
  const order = movedBy(group?.lines.map((line) => line.id) ?? [], ids, by)
  if (group?.value && order && (await orderFollowUps(order, ids)) !== undefined) {
    emit('ordered')
  }
}

function onChoose(key: string, event: MouseEvent): void {
  if (event.ctrlKey || event.metaKey || event.shiftKey) {
    current.value = key
    pick(key, event.shiftKey ? 'range' : 'one')
  } else {
    current.value = key
    emit('open', key)
  }
}

const pointed = () => active && place.value >= 0
const bound = (key: (typeof view.keys)[keyof typeof view.keys], run: () => void) => ({
  ...key,
  run,
  when: () => active,
})
useKeys(view.name, [
  bound(view.keys.next, () => {
    step(1)
  }),
  bound(view.keys.before, () => {
    step(-1)
  }),
  bound(view.keys.pickDown, () => {
    pickStep(1)
  }),
  bound(view.keys.pickUp, () => {
    pickStep(-1)
  }),
  {
    ...view.keys.earlier,
    run: () => void moveBy(-1),
    when: pointed,
  },
  {
    ...view.keys.further,
    run: () => void moveBy(1),
    when: pointed,
  },
  {
    ...view.keys.pick,
    run: () => {
      pick(current.value, 'one')
    },
    when: pointed,
  },
  {
    ...view.keys.fold,
    run: () => {
      const group = groupOf(current.value)
      const before = groups.value[groups.value.findIndex((each) => each === group) - 1]
      fold(group, true)
      current.value = before?.rows.at(-1)?.key
    },
    when: pointed,
  },
  {
    ...view.keys.unfold,
    run: () => {
      foldedKeys.value = []
    },
    when: () => active && foldedKeys.value.length > 0,
  },
  {
    ...view.keys.done,
    run: () => {
      const line = rows.value[place.value]?.line
      if (line) {
        void tick(line)
      }
    },
    when: () => pointed() && rows.value[place.value]?.line.state !== 'OPEN',
  },
  {
    ...view.keys.open,
    run: () => {
      if (current.value) {
        emit('open', current.value)
      }
    },
    when: pointed,
  },
  {
    ...view.keys.nothingPicked,
    run: pickNothing,
    when: () => active && picks.value.ids.size > 0,
  },
])

function pointRow(event: DragEvent, key: string): void {
  const group = groupOf(key)
  if (group) {
    drag.pointRow(event, group, key)
  }
}

function categoryOf(line: FollowUpLine) {
  return categories.data.value?.find((category) => category.id === line.categoryId)
}
</script>

<template>
  <Loading v-if="groupsQuery.isPending.value" />
  <Note v-else-if="groupsQuery.isError.value" title="The groups could not be loaded" problem>
    <p>{{ groupsQuery.error.value?.message }}</p>
    <button class="btn" type="button" @click="void groupsQuery.refetch()">Try again</button>
  </Note>
  <RowList
    v-else
    class="mx-auto min-h-0 w-full max-w-5xl flex-1"
    label="Follow-ups"
    :groups="groups"
    :current="current"
    :picked="picks.ids"
    @choose="(row, event) => onChoose(row.key, event)"
    @go="(key) => (current = key)"
    @all="(all) => pickAll(all.map((row) => row.key))"
  >
    <template #heading="{ group }">
      <!-- In a list of options nothing else may be pressed by keyboard: the arrows fold and unfold. -->
      <span
        class="flex h-full flex-1 cursor-pointer items-center gap-1 font-semibold"
        :title="group.folded ? 'Unfold it' : 'Fold it'"
        :data-folded="group.folded"
        data-test="group"
        @click.stop="fold(group, !group.folded)"
        @dragover="drag.point($event, { group, before: group.rows[0]?.key })"
        @drop="drag.drop"
        ><component
          :is="group.folded ? ChevronRight : ChevronDown"
          :size="14"
          aria-hidden="true"
        />{{ group.title }}</span
      >
      <span class="text-ink-soft"
        >{{ group.count
        }}<template v-if="group.minutes > 0 && !only">
          · {{ effortText(group.minutes) }}</template
        ></span
      >
    </template>
    <template #row="{ row, current: isCurrent }">
      <FollowUpRow
        :draggable="!touch && row.line.state === 'OPEN'"
        :edge="drag.edgeOf(row.key)"
        :line="row.line"
        :category="categoryOf(row.line)"
        :current="isCurrent"
        :picked="picks.ids.has(row.key) || (isCurrent && picks.ids.size === 0)"
        :by-person="arranged.facet === 'PERSON'"
        @done="void tick(row.line)"
        @dragstart="drag.start($event, row.key)"
        @dragend="drag.end"
        @dragover="pointRow($event, row.key)"
        @drop="drag.drop"
      />
    </template>
    <template #after>
      <div class="text-ink-soft flex items-center gap-3 px-3 py-1 text-sm print:hidden">
        <OutMenu :list="() => tableOf(groups, arranged.facet)">
          <p class="border-line border-t pt-2">
            All open ones as
            <a class="underline" href="/api/follow-ups.csv" download data-test="as-csv"
              >a table with everything (CSV)</a
            >
            or
            <a class="underline" href="/api/follow-ups.ics" download data-test="as-calendar"
              >tasks (iCalendar)</a
            >
          </p>
        </OutMenu>
      </div>
    </template>
  </RowList>
  <FollowUpBar
    v-if="chosen.some((line) => line.state === 'OPEN')"
    :lines="chosen"
    :picked="picks.ids.size > 0"
    :active="active"
    :categories="categories.data.value ?? []"
    :choices="intake.data.value?.quickChoices ?? []"
    :places="places"
    :people="people"
    @decide="(choice) => void decide(choice)"
    @clear="pickNothing"
  />
</template>
