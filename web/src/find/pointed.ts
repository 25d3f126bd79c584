/** Which result was opened and how many were shown, by the address of the search: whoever comes back goes on from there. */
interface Opened {
  readonly result: string
  readonly most: number
}

const opened = new Map<string, Opened>()

export function rememberOpened(address: string, one: Opened): void {
  opened.set(address, one)
}

export function openedIn(address: string): Opened | undefined {
  return opened.get(address)
}
