import { computed, ref, watch, type ComputedRef } from 'vue'
import { client, unwrap } from '@/api/client'
import type { Done, IntakeLine, BulkPreview, BulkRequest } from '@/api/client'
import type { run } from '@/api/commands'
import { showProblem } from '@/api/toasts'
import { alike } from '@/intake/alike'
import { linesOf, type Row } from '@/intake/rows'
import type { StripDrop } from '@/strips/shown'
import { extended, NONE, still, toggled, type Picks } from '@/ui/picks'

/** What is to become of all picked messages. */
export type BulkChoice = Pick<BulkRequest, 'decision' | 'day' | 'categoryId'> &
  Partial<Pick<BulkRequest, 'handOver'>>

/** More than so many are shown before they are decided. */
const MOST_UNSEEN = 10

/** Several messages at once: picked or dragged, decided in one request. */
export function usePicking(options: {
  lines: ComputedRef<IntakeLine[]>
  rows: ComputedRef<Row[]>
  /** The row that is open. */
  row: ComputedRef<Row | undefined>
  open: (id: string) => void
  decide: (call: Parameters<typeof run>[0], ids: readonly string[]) => Promise<Done | undefined>
}) {
  const picks = ref<Picks>(NONE)
  watch(options.lines, (now) => (picks.value = still(picks.value, now)))
  const pickedLines = computed(() =>
    options.lines.value.filter((line) => picks.value.ids.has(line.id)),
  )
  const ways = computed(() => {
    const like = options.row.value?.first ?? pickedLines.value[0]
    return like ? alike(options.lines.value, like) : []
  })

  function pick(ids: readonly string[], how: 'one' | 'range'): void {
    picks.value =
      how === 'one' ? toggled(picks.value, ids) : extended(picks.value, options.lines.value, ids)
  }

  function pickRow(row: Row | undefined, how: 'one' | 'range'): void {
    if (row) {
      pick(
        linesOf(row).map((line) => line.id),
        how,
      )
    }
  }

  function pickStep(by: 1 | -1): void {
    const from = options.row.value
    const target = from && options.rows.value[options.rows.value.indexOf(from) + by]
    if (picks.value.ids.size === 0) {
      pickRow(from, 'one')
    }
    if (target) {
      pickRow(target, 'range')
      options.open(target.key)
    }
  }

  const asked = ref<{ request: BulkRequest; preview: BulkPreview }>()

  async function decideAll(ids: string[], choice: BulkChoice): Promise<void> {
    const request: BulkRequest = { messageIds: ids, handOver: null, ...choice }
    if (ids.length > MOST_UNSEEN) {
      try {
        const preview = await unwrap(
          client.POST('/api/intake/decisions/preview', { body: request }),
        )
        asked.value = { request, preview }
      } catch (problem) {
        showProblem(problem)
      }
      return
    }
    await decideRequest(request)
  }

  async function decideRequest(request: BulkRequest): Promise<void> {
    const before = picks.value
    asked.value = undefined
    picks.value = NONE
    const done = await options.decide(
      (header) => client.POST('/api/intake/decisions', { params: { header }, body: request }),
      request.messageIds,
    )
    if (!done) {
      picks.value = before
    }
  }

  const dragged = ref<string[]>([])

  function drag(ids: readonly string[]): void {
    // A change of the page inside the event would end the drag at once.
    setTimeout(() => {
      dragged.value = ids.every((id) => picks.value.ids.has(id)) ? [...picks.value.ids] : [...ids]
    })
  }

  function dropOn(choice: BulkChoice): void {
    const ids = dragged.value
    dragged.value = []
    void decideAll(ids, choice)
  }

  const draggedLines = computed(() =>
    options.lines.value
      .filter((line) => dragged.value.includes(line.id))
      .map((line) => ({ id: line.id, text: line.about })),
  )

  /** What was let go on a list beside the mail. */
  function dropBeside(what: StripDrop | undefined): void {
    if (what?.kind === 'day') {
      dropOn({ decision: 'FOLLOW_UP', day: what.day, categoryId: null })
    } else if (what?.kind === 'category') {
      dropOn({ decision: 'FOLLOW_UP', day: null, categoryId: what.categoryId })
    } else {
      dragged.value = []
    }
  }

  function pickAll(ids: readonly string[]): void {
    picks.value = { ids: new Set([...picks.value.ids, ...ids]), anchor: ids.at(-1) }
  }

  function unpick(): void {
    picks.value = NONE
  }

  return {
    picks,
    pickedLines,
    ways,
    pick,
    pickRow,
    pickStep,
    pickAll,
    unpick,
    asked,
    decideAll,
    decideRequest,
    dragged,
    draggedLines,
    dropBeside,
    drag,
    dropOn,
  }
}
