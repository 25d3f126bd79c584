import createClient, { type Middleware } from 'openapi-fetch'
import type { components, paths } from '@/api/schema'

type Schemas = components['schemas']
export type Done = Schemas['Done']
export type SessionView = Schemas['SessionView']
export type IntakeLine = Schemas['IntakeLine']
export type IntakeView = Schemas['IntakeView']
export type MessageView = Schemas['MessageView']
export type BulkRequest = Schemas['BulkRequest']
export type BulkPreview = Schemas['BulkPreview']
export type CalendarView = Schemas['CalendarView']
export type DayView = Schemas['DayView']
export type QuickChoice = Schemas['QuickChoice']
export type CategoryView = Schemas['CategoryView']
export type FollowUpLine = Schemas['FollowUpLine']
export type FollowUpRequest = Schemas['FollowUpRequest']
export type Details = Schemas['DetailsRequest']
export type Colleague = Schemas['Colleague']
export type InvitationView = Schemas['InvitationView']
export type DayAround = Schemas['DayAround']
export type DueReminder = Schemas['DueReminder']
export type MeetingTold = Schemas['MeetingTold']
export type ReminderWishes = Schemas['ReminderWishes']
export type Rhythm = Schemas['RhythmView']
export type Person = Details['people'][number]
export type Step = Details['checklist'][number]
export type NewFollowUp = Schemas['NewFollowUpRequest']
export type CaptureView = Schemas['CaptureView']
export type CaptureItem = Schemas['CaptureItem']
export type PhraseView = Schemas['PhraseView']
export type RecipeView = Schemas['RecipeView']
export type RecipeForm = Schemas['RecipeForm']
export type RecipeStep = Schemas['StepForm']
export type RecipeConditions = Schemas['ConditionsForm']
export type Preferences = Schemas['Preferences']
export type Proposal = Schemas['Proposal']
export type TokenView = Schemas['TokenView']
export type WebhookView = Schemas['WebhookView']
export type FileToTakeIn = Schemas['FileToTakeIn']
export type FileLookedAt = Schemas['FileLookedAt']
export type LineToTakeIn = Schemas['LineToTakeIn']
export type ThreadLine = Schemas['ThreadLine']
export type ThreadMessage = Schemas['ThreadMessage']
export type Mark = Schemas['Mark']
export type DebtView = Schemas['DebtView']
export type AwaitedView = Schemas['AwaitedView']
export type ChaseSettings = Schemas['ChaseSettings']
export type DueView = Schemas['DueView']
export type OpenView = Schemas['OpenView']
export type TodayData = Schemas['TodayView']
export type DayEntry = Schemas['EntryView']
export type CandidateView = Schemas['CandidateView']
export type MeetingView = Schemas['MeetingView']
export type MoveView = Schemas['MoveView']
export type AheadData = Schemas['AheadView']
export type DayAhead = Schemas['DayAhead']
export type AheadEntry = Schemas['AheadEntry']
export type CalendarSummary = Schemas['CalendarSummary']
export type Band = DayEntry['band']
export type WorkingTimeForm = Schemas['WorkingTimeForm']
export type RuleView = Schemas['RuleView']
export type Tick = Schemas['Tick']
export type SourceView = Schemas['SourceView']
export type MailForm = Schemas['MailForm']
export type MailView = Schemas['MailView']
export type ChatView = Schemas['ChatView']
export type MailTestResult = Schemas['MailTestResult']
export type ProbeStep = Schemas['ProbeStep']
export type Draft = Schemas['DraftForm']
export type OutboxLine = Schemas['OutboxLine']
export type AccountView = Schemas['AccountView']
export type FollowUpFacet = NonNullable<
  NonNullable<paths['/api/follow-ups/groups']['get']['parameters']['query']>['by']
>
export type FollowUpGroup =
  paths['/api/follow-ups/groups']['get']['responses'][200]['content']['application/json'][number]
export type FollowUpValue = Schemas['ValueView']
export type EndedLine = Schemas['EndedLine']
export type ProvedExchange = Schemas['ProvedExchange']
export type SpentLine = Schemas['SpentLine']
export type SpentView = Schemas['SpentView']
export type SpentBy = NonNullable<
  NonNullable<paths['/api/time']['get']['parameters']['query']>['by']
>
export type RoundLine = Schemas['RoundLine']
export type RoundStep = Schemas['WalkTo']['step']
export type WalkView = Schemas['WalkView']
export type FiguresView = Schemas['FiguresView']
export type TimeWishes = Schemas['TimeWishesForm']
export type ListForm = Schemas['ListForm']
export type AttachedView = Schemas['AttachedView']
export type RelationWay = Schemas['RelationForm']['way']
export type Arrangement = Schemas['ArrangementView']
export type FollowUpChoice = Schemas['ChoiceRequest']
export type PersonView = Schemas['PersonView']
export type FoundThings =
  paths['/api/search']['get']['responses'][200]['content']['application/json']
export type FoundThing = FoundThings['results'][number]
export type SearchChips = FoundThings['chips']
export type KeptSearch =
  paths['/api/searches']['get']['responses'][200]['content']['application/json'][number]
export type SearchFilter = KeptSearch['filter']
export type SearchQuery = NonNullable<paths['/api/search']['get']['parameters']['query']>
export type Turn = ThreadLine['turn']
export type Given = Schemas['Given']
export type Received = Schemas['Received']
export type PromiseView = Schemas['PromiseView']
export type Closable = Schemas['Closable']
export type AnswerView = Schemas['AnswerView']
export type ThreadDecisions = Schemas['ThreadDecisions']
export type ChaseException = Schemas['ChaseException']
export type ThreadGrouping = NonNullable<
  NonNullable<paths['/api/threads']['get']['parameters']['query']>['by']
>
export type CloseReason = NonNullable<ThreadLine['closedAs']>
export type Hue = CategoryView['hue']

/** A request that did not work, with a sentence for the user. */
export class Problem extends Error {
  constructor(
    readonly status: number,
    message: string,
    /** What is wrong with which field of the form that was sent. */
    readonly fields: Readonly<Record<string, string>> = {},
    /** After how many seconds a repetition may work; zero when that says nothing. */
    readonly retryAfterSeconds = 0,
  ) {
    super(message)
  }
}

const UNREACHABLE =
  'The application does not answer. What you wrote is kept here; it is tried again when it is back.'

function csrfToken(): string {
  const cookie = document.cookie.split('; ').find((part) => part.startsWith('XSRF-TOKEN='))
  return cookie ? decodeURIComponent(cookie.slice('XSRF-TOKEN='.length)) : ''
}

const carryCsrf: Middleware = {
  onRequest({ request }) {
    if (request.method !== 'GET') {
      request.headers.set('X-XSRF-TOKEN', csrfToken())
    }
    return request
  },
}

export const client = createClient<paths>({ baseUrl: '/' })
client.use(carryCsrf)

const signedOutListeners = new Set<() => void>()

/** Calls back when the server no longer knows this session. */
export function onSignedOut(listener: () => void): void {
  signedOutListeners.add(listener)
}

/** The data of an answer, or a Problem. Network failures and error answers become one kind of error. */
export async function unwrap<T>(
  call: Promise<{ data?: T; error?: unknown; response: Response }>,
): Promise<T> {
  let answer
  try {
    answer = await call
  } catch {
    throw new Problem(0, UNREACHABLE)
  }
  if (!answer.response.ok) {
    if (answer.response.status === 401) {
      signedOutListeners.forEach((listener) => {
        listener()
      })
    }
    throw new Problem(
      answer.response.status,
      detailOf(answer.error, answer.response.status),
      fieldsOf(answer.error),
      Number(answer.response.headers.get('Retry-After') ?? 0),
    )
  }
  return answer.data as T
}

function fieldsOf(error: unknown): Record<string, string> {
  return typeof error === 'object' && error !== null && 'fields' in error
    ? (error.fields as Record<string, string>)
    : {}
}

function detailOf(error: unknown, status: number): string {
  if (typeof error === 'object' && error !== null && 'detail' in error) {
    return String(error.detail)
  }
  return status === 401
    ? 'You are signed out. Sign in again; drafts are kept.'
    : `The application answered with status ${status}. Nothing was changed.`
}

/** An identifier that sorts by time (RFC 9562, version 7). */
export function newId(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(16))
  const time = BigInt(Date.now())
  for (let i = 0; i < 6; i++) {
    bytes[i] = Number((time >> BigInt(8 * (5 - i))) & 0xffn)
  }
  bytes[6] = ((bytes[6] ?? 0) & 0x0f) | 0x70
  bytes[8] = ((bytes[8] ?? 0) & 0x3f) | 0x80
  const hex = Array.from(bytes, (byte) => byte.toString(16).padStart(2, '0')).join('')
  return [
    hex.slice(0, 8),
    hex.slice(8, 12),
    hex.slice(12, 16),
    hex.slice(16, 20),
    hex.slice(20),
  ].join('-')
}

/** The header that makes a repeated request harmless. */
export function commandHeader(id: string = newId()): { 'Idempotency-Key': string } {
  return { 'Idempotency-Key': id }
}
