import { client, unwrap, type Done, type FileLookedAt, type FileToTakeIn } from '@/api/client'
import { run } from '@/api/commands'

/** What the server takes at most. */
const MOST = 4 * 1024 * 1024

/** What a column can say, in the words of the page. */
export const COLUMN_WORDS = {
  NOTHING: 'left out',
  TITLE: 'Title',
  REPLY_BY: 'Reply-by date',
  START: 'Out of sight until',
  CATEGORY: 'Category',
  EFFORT: 'Effort',
  PRIORITY: 'Priority',
  PERSON: 'People',
  PLACE: 'Place',
  NOTE: 'Note',
  STEPS: 'Steps',
  STATE: 'Done or not',
} as const satisfies Record<Column, string>

export type Column = NonNullable<FileToTakeIn['columns']>[number]

export const SEPARATOR_WORDS: Readonly<Record<string, string>> = {
  ',': 'commas',
  ';': 'semicolons',
  '\t': 'tabs',
  '|': 'bars',
}

/** A file with nothing said yet of how it is to be read. */
export async function toTakeIn(file: File): Promise<FileToTakeIn> {
  if (file.size > MOST) {
    throw new Error(
      `${file.name} is larger than 4 MB. Divide it, and take the parts in one after the other. Nothing was changed.`,
    )
  }
  const url = await new Promise<string>((resolve, reject) => {
    const reader = new FileReader()
    reader.onload = () => {
      resolve(reader.result as string)
    }
    reader.onerror = () => {
      reject(new Error(`${file.name} cannot be read. Is it still there? Nothing was changed.`))
    }
    reader.readAsDataURL(file)
  })
  return {
    name: file.name,
    content: url.slice(url.indexOf(',') + 1),
    headed: null,
    columns: null,
    monthFirst: null,
    categories: [],
  }
}

export function look(file: FileToTakeIn): Promise<FileLookedAt> {
  return unwrap(client.POST('/api/take-in/look', { body: file }))
}

export function takeIn(file: FileToTakeIn, lines: readonly number[]): Promise<Done | undefined> {
  return run((header) =>
    client.POST('/api/take-in', { params: { header }, body: { file, lines: [...lines] } }),
  )
}

/** With a column that says something else; what only one column can say is taken from the other. */
export function assigned(columns: readonly Column[], place: number, says: Column): Column[] {
  const many: readonly Column[] = ['NOTHING', 'NOTE', 'PERSON', 'STEPS']
  return columns.map((column, i) =>
    i === place ? says : column === says && !many.includes(says) ? 'NOTHING' : column,
  )
}
