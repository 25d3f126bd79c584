/** An effort in words: "15 min", "1 h 30". */
export function effortText(minutes: number | null): string {
  if (minutes === null) {
    return 'no effort given'
  }
  if (minutes < 60) {
    return `${minutes} min`
  }
  const rest = minutes % 60
  return rest === 0 ? `${minutes / 60} h` : `${Math.floor(minutes / 60)} h ${rest}`
}
