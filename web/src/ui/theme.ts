import { defineStore } from 'pinia'

export type Theme = 'system' | 'light' | 'dark'

const KEY = 'squallnote.theme'
const dark = window.matchMedia('(prefers-color-scheme: dark)')

/** Which colours somebody at this browser has chosen. */
export const useTheme = defineStore('theme', {
  state: (): { choice: Theme } => {
    const stored = localStorage.getItem(KEY)
    return { choice: stored === 'light' || stored === 'dark' ? stored : 'system' }
  },
})

/** Sets the colours by the choice, or by what the system asks for. */
export function applyTheme(): void {
  const { choice } = useTheme()
  const night = choice === 'dark' || (choice === 'system' && dark.matches)
  document.documentElement.dataset.theme = night ? 'dark' : 'light'
}

export function setTheme(wanted: Theme): void {
  useTheme().choice = wanted
  localStorage.setItem(KEY, wanted)
  applyTheme()
}

dark.addEventListener('change', applyTheme)
