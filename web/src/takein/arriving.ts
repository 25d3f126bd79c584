import { defineStore } from 'pinia'
import { markRaw } from 'vue'
import { importFile } from '@/api/files'
import { takeInCards } from '@/people/changes'

/** What a file is for, as far as its name and its beginning tell. */
export type FileSort = 'messages' | 'people' | 'followUps'

/** So much of a file tells what it is. */
const BEGINNING = 2_000
/** Larger calendars hold no tasks that anybody keeps by hand. */
const MOST_TASKS = 4 * 1024 * 1024
const HEADER =
  /^(?:from |(?:return-path|received|delivered-to|from|to|date|message-id|mime-version|subject|x-[\w-]+): )/i

/** Tells what is in a file; meetings go the way of messages. */
export async function sortOf(file: File): Promise<FileSort> {
  if (/\.(eml|mbox)$/i.test(file.name)) {
    return 'messages'
  }
  const beginning = (await file.slice(0, BEGINNING).text()).replace(/^\ufeff/, '').trimStart()
  if (/^BEGIN:VCARD/i.test(beginning)) {
    return 'people'
  }
  if (/^BEGIN:VCALENDAR/i.test(beginning)) {
    const tasks = file.size <= MOST_TASKS && /^BEGIN:VTODO/im.test(await file.text())
    return tasks ? 'followUps' : 'messages'
  }
  const table = /\.(csv|tsv|md|markdown|txt)$/i.test(file.name)
  return !table && HEADER.test(beginning) ? 'messages' : 'followUps'
}

/** Files of follow-ups that were given to the page, each to be looked at before it is taken in. */
export const useArriving = defineStore('arriving', {
  state: () => ({ waiting: [] as readonly File[] }),
})

/** Takes in a file that was given to the page; answers whether it waits to be looked at before. */
export async function arrive(file: File): Promise<boolean> {
  const sort = await sortOf(file)
  if (sort === 'followUps') {
    const arriving = useArriving()
    arriving.waiting = [...arriving.waiting, markRaw(file)]
    return true
  }
  await (sort === 'people' ? takeInCards(file) : importFile(file))
  return false
}
