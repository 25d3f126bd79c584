/** What can be picked in a list. */
interface Named {
  readonly id: string
}

/** The picked rows, by their keys, and where the last pick was made, from which a range goes on. */
export interface Picks {
  readonly ids: ReadonlySet<string>
  readonly anchor: string | undefined
}

export const NONE: Picks = { ids: new Set(), anchor: undefined }

/** Picks what a row stands for, or takes them out again where all of them are picked. */
export function toggled(picks: Picks, row: readonly string[]): Picks {
  const all = row.every((id) => picks.ids.has(id))
  const ids = new Set([...picks.ids, ...row])
  if (all) {
    row.forEach((id) => ids.delete(id))
  }
  return { ids, anchor: row[0] }
}

/** Picks everything from the last pick to what a row stands for; what was picked stays. */
export function extended(picks: Picks, lines: readonly Named[], row: readonly string[]): Picks {
  const ends = [picks.anchor ?? row[0], row[0], row.at(-1)].map((id) =>
    lines.findIndex((line) => line.id === id),
  )
  if (ends.includes(-1)) {
    return toggled(picks, row)
  }
  const range = lines.slice(Math.min(...ends), Math.max(...ends) + 1)
  return {
    ids: new Set([...picks.ids, ...range.map((line) => line.id)]),
    anchor: picks.anchor ?? row[0],
  }
}

/** Without what is no longer in the list. */
export function still(picks: Picks, lines: readonly Named[]): Picks {
  const ids = new Set(lines.map((line) => line.id).filter((id) => picks.ids.has(id)))
  return ids.size === picks.ids.size ? picks : { ...picks, ids }
}
