/** Which result was opened, by the address of the search: whoever comes back goes on from there. */
const opened = new Map<string, string>()

export function rememberPointed(address: string, result: string): void {
  opened.set(address, result)
}

export function pointedIn(address: string): string | undefined {
  return opened.get(address)
}
