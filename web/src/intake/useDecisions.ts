import type { ComputedRef } from 'vue'
import {
  client,
  newId,
  unwrap,
  type Done,
  type FollowUpRequest,
  type NewFollowUp,
} from '@/api/client'
import { run } from '@/api/commands'
import { showOffer } from '@/api/toasts'
import { replyBy } from '@/ui/time'
import { forgetLocally } from '@/intake/draft'

/** When an answer asks something back, offers to wait for what comes of it. */
async function offerToWait(messageId: string, text: string): Promise<void> {
  try {
    const asked = await unwrap(
      client.POST('/api/messages/{id}/asked', {
        params: { path: { id: messageId } },
        body: { text },
      }),
    )
    if (asked.day === null) {
      return
    }
    const { day, time, title, people } = asked
    showOffer(
      `You asked ${asked.who}. They owe you an answer by ${replyBy(day, time)}?`,
      'Keep track',
      () => {
        void run((header) =>
          client.POST('/api/messages/{messageId}/follow-ups/{id}', {
            params: { path: { messageId, id: newId() }, header },
            body: {
              title: title.slice(0, 300),
              replyDay: day,
              replyTime: time,
              firm: false,
              categoryId: null,
              effortMinutes: 5,
              priority: null,
              forReply: false,
              details: { startDay: null, place: '', people, checklist: [], note: '' },
            },
          }),
        )
      },
    )
  } catch {
    // The answer is on its way all the same; the thread shows whom it waits for.
  }
}

/** To whom something is handed over, and what is said with it. */
interface Given {
  name: string
  address: string
  text: string
  wantedDay: string | null
}

/** Which decision about the open message is being made. */
export type DecideMode =
  'decide' | 'follow-up' | 'add-to' | 'answer' | 'put-off' | 'hand-over' | 'recipes' | 'always'

/** What is answered, and to whom besides the writer. */
interface Content {
  text: string
  toAll: boolean
  cc: string[]
  bcc: string[]
}

/** What can be decided about the open message, each as one request with a way back. */
export function useDecisions(options: {
  selected: ComputedRef<string | undefined>
  asksMe: () => boolean | undefined
  decide: (call: Parameters<typeof run>[0], ids: readonly string[]) => Promise<Done | undefined>
}) {
  function putOff(until: string): void {
    const id = options.selected.value
    if (id) {
      void options.decide(
        (header) =>
          client.POST('/api/messages/{id}/put-off', {
            params: { path: { id }, query: { until }, header },
          }),
        [id],
      )
    }
  }

  function nothing(always = false, subject = false): void {
    const id = options.selected.value
    if (id) {
      void options.decide(
        (header) =>
          client.POST('/api/messages/{id}/nothing', {
            params: { path: { id }, query: { always, subject }, header },
          }),
        [id],
      )
    }
  }

  function backToIntake(): void {
    const id = options.selected.value
    if (id) {
      void run((header) =>
        client.POST('/api/messages/{id}/back-to-intake', { params: { path: { id }, header } }),
      )
    }
  }

  /** Says that what was read is wrong, of this message or of everything from there. */
  function wrong(always: boolean): void {
    const id = options.selected.value
    const asks = options.asksMe() ? 'NEVER' : 'YES'
    if (id) {
      void run((header) =>
        client.POST('/api/messages/{id}/asks', {
          params: { path: { id }, query: { asks, always }, header },
        }),
      )
    }
  }

  function rememberDays(days: number): void {
    const id = options.selected.value
    if (id) {
      void run((header) =>
        client.POST('/api/messages/{id}/reply-days', {
          params: { path: { id }, query: { days }, header },
        }),
      )
    }
  }

  function followUp(content: FollowUpRequest): void {
    const messageId = options.selected.value
    const id = newId()
    if (messageId) {
      void options.decide(
        (header) =>
          client.POST('/api/messages/{messageId}/follow-ups/{id}', {
            params: { path: { messageId, id }, header },
            body: content,
          }),
        [messageId],
      )
    }
  }

  /** One follow-up for each thing that the message asks. */
  function followUpEach(followUps: NewFollowUp[]): void {
    const messageId = options.selected.value
    if (messageId) {
      void options.decide(
        (header) =>
          client.POST('/api/messages/{messageId}/follow-ups', {
            params: { path: { messageId }, header },
            body: { followUps },
          }),
        [messageId],
      )
    }
  }

  function addTo(id: string): void {
    const messageId = options.selected.value
    if (messageId) {
      void options.decide(
        (header) =>
          client.POST('/api/follow-ups/{id}/messages/{messageId}', {
            params: { path: { id, messageId }, header },
          }),
        [messageId],
      )
    }
  }

  function handOver(to: Given): void {
    const id = options.selected.value
    if (id) {
      void options.decide(
        (header) =>
          client.POST('/api/messages/{id}/hand-over', {
            params: { path: { id }, header },
            body: { ...to, followUpId: null },
          }),
        [id],
      )
    }
  }

  function runRecipe(id: string): void {
    const messageId = options.selected.value
    if (messageId) {
      void options.decide(
        (header) =>
          client.POST('/api/messages/{messageId}/recipes/{id}', {
            params: { path: { messageId, id }, header },
          }),
        [messageId],
      )
    }
  }

  async function answer(content: Content): Promise<void> {
    const id = options.selected.value
    if (id) {
      await send(id, content, false)
    }
  }

  async function send(id: string, content: Content, anyway: boolean): Promise<void> {
    const done = await options.decide(
      (header) =>
        client.POST('/api/messages/{id}/answer', {
          params: { path: { id }, header },
          body: { ...content, anyway },
        }),
      [id],
    )
    if (done) {
      forgetLocally(id)
      await offerToWait(id, content.text)
    } else if (!anyway) {
      await offerToSendAnyway(id, content)
    }
  }

  /** Somebody else of the office was faster: what was written goes out only when that is wanted. */
  async function offerToSendAnyway(id: string, content: Content): Promise<void> {
    const { data } = await client.GET('/api/messages/{id}/office', { params: { path: { id } } })
    const office = data?.office
    if (office?.state === 'ANSWERED' && !office.mine) {
      showOffer(
        `${office.by ?? 'Somebody'} has answered already.`,
        'Send mine all the same',
        () => {
          void send(id, content, true)
        },
      )
    }
  }

  return {
    handOver,
    runRecipe,
    putOff,
    nothing,
    backToIntake,
    wrong,
    rememberDays,
    followUp,
    followUpEach,
    addTo,
    answer,
  }
}
