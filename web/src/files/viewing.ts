import { defineStore } from 'pinia'

/** A file that can be looked at in place, or else only saved. */
export interface ViewedFile {
  /** Where its bytes are served. */
  readonly address: string
  readonly name: string
  readonly type: string
  readonly size: number
  /** Whether a browser may show it as it is. */
  readonly viewable: boolean
}

const MOST_BYTES = 30_000_000

/** How a file is shown in place; undefined for one that is only saved. */
export function wayToShow(file: ViewedFile): 'picture' | 'text' | 'pdf' | undefined {
  if (file.size > MOST_BYTES) {
    return undefined
  }
  if (file.type === 'application/pdf' || (/\.pdf$/i.test(file.name) && !file.viewable)) {
    return 'pdf'
  }
  if (!file.viewable) {
    return undefined
  }
  return file.type.startsWith('image/') ? 'picture' : 'text'
}

/** The file that is shown now, over whatever view is open. */
export const useViewedFile = defineStore('viewed file', {
  state: () => ({ file: undefined as ViewedFile | undefined }),
})
