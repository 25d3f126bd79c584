import { defineView } from '@/ui/views'

export default defineView({
  name: 'Threads',
  order: 3,
  path: '/threads/:id?',
  key: '4',
  inBar: true,
  component: () => import('@/threads/ThreadsView.vue'),
  keys: {
    withMe: { key: 'm', does: 'With me' },
    withOthers: { key: 'o', does: 'With others' },
    closed: { key: 'e', does: 'Closed' },
    group: { key: 'b', does: 'Group otherwise' },
    next: { key: 'ArrowDown', shift: false, does: 'Next thread' },
    before: { key: 'ArrowUp', shift: false, does: 'Thread before' },
    pickDown: { key: 'ArrowDown', shift: true, does: 'Pick downwards' },
    pickUp: { key: 'ArrowUp', shift: true, does: 'Pick upwards' },
    round: { key: 'r', does: 'Chase round' },
    close: { key: 'c', does: 'Close' },
    noReply: { key: 'n', does: 'No reply owed' },
    theirTurn: { key: 't', does: 'It is their turn' },
    notBefore: { key: 'p', does: 'Not to be chased before' },
    openAgain: { key: 'a', does: 'Open again' },
    nothingPicked: { key: 'Escape', does: 'Pick nothing' },
  },
  listens: {
    THREADS: ['threads', 'thread', 'chases'],
    FOLLOW_UPS: ['threads'],
    OUTBOX: ['thread', 'chases'],
  },
  uses: ['message'],
})
