import type { AheadData, AheadEntry, DayEntry, FollowUpLine, TodayData } from '@/api/client'

/** A follow-up as lists show it. */
export function lineOf(id: string, more: Partial<FollowUpLine> = {}): FollowUpLine {
  return {
    id,
    title: `Title ${id}`,
    categoryId: null,
    replyDay: '2026-03-04',
    replyTime: null,
    firm: false,
    standing: 'SOON',
    due: 'TODAY',
    effortMinutes: 30,
    priority: 'NORMAL',
    forReply: false,
    repeats: false,
    startDay: null,
    place: '',
    people: [],
    steps: 0,
    stepsDone: 0,
    noted: false,
    answerSeen: false,
    waiting: null,
    back: false,
    state: 'OPEN',
    endedAt: null,
    from: 'Tilda',
    channel: 'MAIL',
    messageId: 'm1',
    version: 0,
    ...more,
  }
}

export function entryOf(id: string, more: Partial<DayEntry> = {}): DayEntry {
  return {
    line: lineOf(id),
    band: 'LATER',
    byHand: false,
    at: null,
    blockMinutes: null,
    minutesLeft: 30,
    minutesSpent: 0,
    fits: true,
    underWay: false,
    ...more,
  }
}

export function todayOf(more: Partial<TodayData> = {}): TodayData {
  return {
    day: '2026-03-04',
    nextDay: '2026-03-05',
    from: '09:00:00',
    to: '17:00:00',
    off: '',
    freeMinutes: 300,
    roomMinutes: 240,
    plannedMinutes: 0,
    overMinutes: 0,
    spentMinutes: 0,
    meetings: [],
    entries: [],
    done: [],
    candidates: [],
    pressing: 0,
    moves: [],
    stuckMinutes: 0,
    toBeChased: 0,
    promisesPressing: 0,
    ...more,
  }
}

export function aheadEntryOf(id: string, more: Partial<AheadEntry> = {}): AheadEntry {
  return { line: lineOf(id), minutes: 30, due: true, planned: false, fits: true, ...more }
}

export function aheadOf(
  entries: Record<string, AheadEntry[]>,
  more: Partial<AheadData> = {},
): AheadData {
  return {
    days: Object.entries(entries).map(([day, of]) => ({
      day,
      off: '',
      freeMinutes: 300,
      roomMinutes: 240,
      plannedMinutes: 0,
      overMinutes: 0,
      meetings: [],
      entries: of,
    })),
    shelf: [],
    workMinutes: 0,
    roomMinutes: 0,
    fitsUntil: '2026-03-05',
    shortFrom: null,
    shortMinutes: 0,
    moves: [],
    stuck: [],
    ...more,
  }
}
