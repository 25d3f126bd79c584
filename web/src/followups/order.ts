/** A list after some of it were put before another one; behind all where there is none. */
export function putBefore(
  all: readonly string[],
  moved: readonly string[],
  before: string | undefined,
): string[] {
  const run = all.filter((id) => moved.includes(id))
  const entering = moved.filter((id) => !all.includes(id))
  const rest = all.filter((id) => !moved.includes(id))
  // Put before one of themselves, they stand before the next one that stays.
  const target =
    before !== undefined && moved.includes(before)
      ? all.slice(all.indexOf(before)).find((id) => !moved.includes(id))
      : before
  const at = target === undefined ? rest.length : rest.indexOf(target)
  const place = at < 0 ? rest.length : at
  return [...rest.slice(0, place), ...run, ...entering, ...rest.slice(place)]
}

/** A list after some of it moved by one place, together; undefined where they cannot. */
export function movedBy(
  all: readonly string[],
  moved: readonly string[],
  by: 1 | -1,
): string[] | undefined {
  const places = moved.map((id) => all.indexOf(id)).filter((place) => place >= 0)
  if (places.length === 0) {
    return undefined
  }
  const edge = by < 0 ? Math.min(...places) - 1 : Math.max(...places) + 1
  if (edge < 0 || edge >= all.length) {
    return undefined
  }
  return putBefore(all, moved, by < 0 ? all[edge] : all[edge + 1])
}
