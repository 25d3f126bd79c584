import { defineStore } from 'pinia'

/** Which result was opened and how many were shown, by the address of the search: whoever comes back goes on from there. */
interface Opened {
  readonly result: string
  readonly most: number
}

export const useOpenedResults = defineStore('opened results', {
  state: () => ({ byAddress: new Map<string, Opened>() }),
})

export function rememberOpened(address: string, one: Opened): void {
  useOpenedResults().byAddress.set(address, one)
}

export function openedIn(address: string): Opened | undefined {
  return useOpenedResults().byAddress.get(address)
}
