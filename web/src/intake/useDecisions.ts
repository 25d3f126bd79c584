import type { ComputedRef } from 'vue'
import { client, newId, type Done, type FollowUpRequest } from '@/api/client'
import { run } from '@/api/commands'
import { keepLocally } from '@/intake/draft'

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

  function nothing(always = false): void {
    const id = options.selected.value
    if (id) {
      void options.decide(
        (header) =>
          client.POST('/api/messages/{id}/nothing', {
            params: { path: { id }, query: { always }, header },
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

  async function answer(content: { text: string; toAll: boolean }): Promise<void> {
    const id = options.selected.value
    if (id) {
      const done = await options.decide(
        (header) =>
          client.POST('/api/messages/{id}/answer', {
            params: { path: { id }, header },
            body: content,
          }),
        [id],
      )
      if (done) {
        keepLocally(id, '')
      }
    }
  }

  return { putOff, nothing, backToIntake, wrong, rememberDays, followUp, addTo, answer }
}
