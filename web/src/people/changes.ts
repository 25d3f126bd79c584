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

/** @param was what stood there when it was written: what was written elsewhere meanwhile is not written over */
export function saveNote(id: string, note: string, was: string): Promise<Done | undefined> {
  return run((header) =>
    client.PUT('/api/people/{id}/note', { params: { path: { id }, header }, body: { note, was } }),
  )
}

/** Writes a matter for the next talk down, or changes it. */
export function saveMatter(id: string, matter: Matter): Promise<Done | undefined> {
  return run((header) =>
    client.PUT('/api/people/{id}/talk/{matterId}', {
      params: { path: { id, matterId: matter.id }, header },
      body: { text: matter.text, done: matter.done },
    }),
  )
}

export function dropMatter(id: string, matterId: string): Promise<Done | undefined> {
  return run((header) =>
    client.DELETE('/api/people/{id}/talk/{matterId}', {
      params: { path: { id, matterId }, header },
    }),
  )
}

/** Takes in vCards; all addresses of one are one person from then on. */
export function takeInCards(file: File): Promise<Done | undefined> {
  return run((header) =>
    client.POST('/api/people/cards', {
      params: { header },
      body: file as unknown as string,
      bodySerializer: (body: unknown) => body as Blob,
      headers: { 'Content-Type': 'text/vcard' },
    } as never),
  )
}
