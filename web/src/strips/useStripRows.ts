import { computed } from 'vue'
import { useFollowUpGroups, useFollowUps } from '@/api/followUpQueries'
import { useFound, useKeptSearches, usePerson, useToday } from '@/api/queries'
import { NOTHING, placeOf, requestOf } from '@/find/narrowing'
import type { Shown, StripDrop, StripRow } from '@/strips/shown'
import { day, replyBy, today } from '@/ui/time'

const MOST = 50

/** The lines of a strip, kept in step with what it shows, and what it makes of a message that is let go on it. */
export function useStripRows(shown: () => Shown) {
  const kind = computed(() => shown().kind)
  const plan = useToday({ enabled: () => kind.value === 'plan' })
  const followUps = useFollowUps({ enabled: () => kind.value === 'group' })
  const groups = useFollowUpGroups(
    () => {
      const now = shown()
      return { facet: now.kind === 'group' ? now.facet : 'REPLY_BY', byHand: false, only: [] }
    },
    { enabled: () => kind.value === 'group' },
  )
  const person = usePerson(
    () => {
      const now = shown()
      return now.kind === 'person' ? now.id : ''
    },
    { enabled: () => kind.value === 'person' },
  )
  const searches = useKeptSearches()
  const search = computed(() => {
    const now = shown()
    return now.kind === 'search'
      ? searches.data.value?.find((each) => each.id === now.id)
      : undefined
  })
  const found = useFound(
    () => requestOf(search.value?.words ?? '', search.value?.filter ?? NOTHING, true, MOST),
    { enabled: () => search.value !== undefined },
  )
  const group = computed(() => {
    const now = shown()
    return now.kind === 'group'
      ? groups.data.value?.find((each) => each.key === now.key)
      : undefined
  })

  const query = computed(() => {
    switch (kind.value) {
      case 'plan':
        return plan
      case 'group':
        return groups
      case 'person':
        return person
      default:
        return found
    }
  })

  const rows = computed<StripRow[]>(() => {
    switch (kind.value) {
      case 'plan':
        return (plan.data.value?.entries ?? []).map(({ line, at }) => ({
          key: line.id,
          title: line.title,
          beside: at ? at.slice(0, 5) : line.replyDay ? replyBy(line.replyDay, line.replyTime) : '',
          to: `/follow-ups/${line.id}`,
        }))
      case 'group': {
        const lines = new Map((followUps.data.value?.open ?? []).map((line) => [line.id, line]))
        return (group.value?.followUps ?? []).flatMap((id) => {
          const line = lines.get(id)
          return line
            ? [
                {
                  key: id,
                  title: line.title,
                  beside: line.replyDay ? replyBy(line.replyDay, line.replyTime) : 'no date',
                  to: `/follow-ups/${id}`,
                },
              ]
            : []
        })
      }
      case 'person': {
        const one = person.data.value
        return [
          ...(one?.owed ?? []).map((thread) => ({
            key: `owed ${thread.threadId} ${thread.what}`,
            title: thread.what || thread.subject,
            beside: thread.byDay ? `I owe, by ${day(thread.byDay)}` : 'I owe',
            to: `/threads/${thread.threadId}`,
          })),
          ...(one?.owing ?? []).map((thread) => ({
            key: `owing ${thread.threadId} ${thread.what}`,
            title: thread.what || thread.subject,
            beside: thread.byDay ? `they owe, by ${day(thread.byDay)}` : 'they owe',
            to: `/threads/${thread.threadId}`,
          })),
          ...(one?.followUps ?? []).map((followUp) => ({
            key: followUp.id,
            title: followUp.title,
            beside: followUp.replyDay ? day(followUp.replyDay) : 'no date',
            to: `/follow-ups/${followUp.id}`,
          })),
          ...(one?.talk ?? [])
            .filter((item) => !item.done)
            .map((item) => ({
              key: item.id,
              title: item.text,
              beside: 'next talk',
              to: `/people/${encodeURIComponent(one?.id ?? '')}`,
            })),
        ]
      }
      default:
        return (found.data.value?.results ?? []).map((thing) => ({
          key: `${thing.kind} ${thing.id}`,
          title: thing.title,
          beside: thing.who,
          to: placeOf(thing),
        }))
    }
  })

  /** Where a message may be let go; nothing where that says nothing. */
  const takes = computed<StripDrop | undefined>(() => {
    const now = shown()
    if (now.kind === 'plan') {
      return { kind: 'day', day: today() }
    }
    if (now.kind === 'person') {
      return { kind: 'talk', id: now.id }
    }
    if (now.kind === 'group' && now.facet === 'REPLY_BY' && group.value?.day) {
      return { kind: 'day', day: group.value.day }
    }
    return now.kind === 'group' && now.facet === 'CATEGORY' && now.key !== ''
      ? { kind: 'category', categoryId: now.key }
      : undefined
  })

  return { query, rows, takes }
}
