/** A row of a list: named by its key, so high in pixels. */
export interface RowOfList {
  readonly key: string
  readonly height: number
}

/** Rows of a list under one heading. */
export interface RowGroup<T> {
  readonly key: string
  readonly title: string
  readonly rows: readonly T[]
  /** Whether something stands at the group's end. */
  readonly end?: boolean
}
