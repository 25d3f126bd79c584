import { Problem, unwrap, client } from '@/api/client'
import { reload } from '@/api/live'
import { showDone, showProblem } from '@/api/toasts'

/** Sends messages or events; `ofFolder` where they are a part of a folder of them. */
export function sendFile(content: Blob, ofFolder = false) {
  return unwrap(
    client.POST('/api/files', {
      params: { query: { ofFolder } },
      body: content as unknown as undefined,
      bodySerializer: (body: unknown) => body as BodyInit,
      headers: { 'Content-Type': 'application/octet-stream' },
    }),
  )
}

/** Hands a file of messages or events to the application and says what came of it. */
export async function importFile(file: File): Promise<void> {
  showDone(`Reading ${file.name} …`)
  try {
    const result = await sendFile(file)
    const what = result.kind === 'EVENTS' ? 'event' : 'message'
    showDone(
      `${file.name}: ${result.found} ${what}${result.found === 1 ? '' : 's'}, ${result.added} new` +
        (result.unreadable > 0 ? `, ${result.unreadable} that cannot be read, left out.` : '.'),
    )
    reload(['INTAKE', 'THREADS', 'SOURCES', 'CALENDARS'])
  } catch (problem) {
    const text = problem instanceof Problem ? problem.message : String(problem)
    showProblem(new Error(`${file.name}: ${text}`))
  }
}
