import { client, type Done, type PersonView } from '@/api/client'
import { run } from '@/api/commands'

type Matter = PersonView['talk'][number]

/** Two are one person from now on. */
export function merge(id: string, into: string): Promise<Done | undefined> {
  return run((header) =>
    client.POST('/api/people/{id}/merge', { params: { path: { id }, header }, body: { into } }),
  )
}

/** An address is a person of its own again. */
export function split(id: string): Promise<Done | undefined> {
  return run((header) =>
    client.POST('/api/people/{id}/split', { params: { path: { id }, header } }),
  )
}

export function saveNote(id: string, note: string): Promise<Done | undefined> {
  return run((header) =>
    client.PUT('/api/people/{id}/note', { params: { path: { id }, header }, body: { note } }),
  )
}

/** What waits for the next talk. */
export function saveTalk(id: string, items: readonly Matter[]): Promise<Done | undefined> {
  return run((header) =>
    client.PUT('/api/people/{id}/talk', {
      params: { path: { id }, header },
      body: { items: [...items] },
    }),
  )
}
