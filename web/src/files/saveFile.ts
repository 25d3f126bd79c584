import { Problem } from '@/api/client'
import { showProblem } from '@/api/toasts'

/** Saves a file that comes from elsewhere and may not be there; says why where it cannot. */
export async function saveFile(address: string, name: string): Promise<void> {
  try {
    const answer = await fetch(address)
    if (!answer.ok) {
      const problem = (await answer.json().catch(() => ({}))) as { detail?: string }
      throw new Problem(answer.status, problem.detail ?? 'The file could not be fetched.')
    }
    saveBlob(await answer.blob(), name)
  } catch (problem) {
    showProblem(
      problem instanceof Problem
        ? problem
        : new Error('The file could not be fetched: the application does not answer. Try again.'),
    )
  }
}

/** Saves what is here already. */
export function saveBlob(content: Blob, name: string): void {
  const url = URL.createObjectURL(content)
  const link = document.createElement('a')
  link.href = url
  link.download = name
  link.click()
  // The browser reads it after the click has returned.
  setTimeout(() => {
    URL.revokeObjectURL(url)
  }, 10_000)
}
