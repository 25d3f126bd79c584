/** A file size for people: "12 kB". */
export function fileSize(bytes: number): string {
  if (bytes < 1000) {
    return `${bytes} B`
  }
  return bytes < 1_000_000
    ? `${Math.round(bytes / 1000)} kB`
    : `${(bytes / 1_000_000).toFixed(1)} MB`
}
