import { client, newId, type Done, type RelationWay } from '@/api/client'
import { run } from '@/api/commands'

export const MOST_BYTES = 25_000_000

/** Puts a file with a follow-up. */
export function addFile(id: string, file: File): Promise<Done | undefined> {
  const fileId = newId()
  return run((header) =>
    client.PUT('/api/follow-ups/{id}/files/{fileId}', {
      params: { path: { id, fileId }, query: { name: file.name || 'file' }, header },
      body: file as unknown as string,
      bodySerializer: (body: unknown) => body as Blob,
      headers: { 'Content-Type': 'application/octet-stream' },
    } as never),
  )
}

/** Keeps a file of one of its messages with it. */
export function keepFile(id: string, messageId: string, index: number): Promise<Done | undefined> {
  return run((header) =>
    client.PUT('/api/follow-ups/{id}/files/{fileId}/from-message', {
      params: { path: { id, fileId: newId() }, header },
      body: { messageId, index },
    }),
  )
}

export function removeFile(id: string, fileId: string): Promise<Done | undefined> {
  return run((header) =>
    client.DELETE('/api/follow-ups/{id}/files/{fileId}', {
      params: { path: { id, fileId }, header },
    }),
  )
}

export function addLink(id: string, url: string, title: string): Promise<Done | undefined> {
  return run((header) =>
    client.PUT('/api/follow-ups/{id}/links/{linkId}', {
      params: { path: { id, linkId: newId() }, header },
      body: { url, title },
    }),
  )
}

export function removeLink(id: string, linkId: string): Promise<Done | undefined> {
  return run((header) =>
    client.DELETE('/api/follow-ups/{id}/links/{linkId}', {
      params: { path: { id, linkId }, header },
    }),
  )
}

export function relate(id: string, otherId: string, way: RelationWay): Promise<Done | undefined> {
  return run((header) =>
    client.PUT('/api/follow-ups/{id}/related/{relationId}', {
      params: { path: { id, relationId: newId() }, header },
      body: { otherId, way },
    }),
  )
}

export function unrelate(id: string, relationId: string): Promise<Done | undefined> {
  return run((header) =>
    client.DELETE('/api/follow-ups/{id}/related/{relationId}', {
      params: { path: { id, relationId }, header },
    }),
  )
}
