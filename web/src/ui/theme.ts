import { readonly, ref } from 'vue'

export type Theme = 'system' | 'light' | 'dark'

const KEY = 'squallnote.theme'
const dark = window.matchMedia('(prefers-color-scheme: dark)')
const stored = localStorage.getItem(KEY)
const choice = ref<Theme>(stored === 'light' || stored === 'dark' ? stored : 'system')
export const theme = readonly(choice)

/** Sets the colours by the choice, or by what the system asks for. */
export function applyTheme(): void {
  const night = choice.value === 'dark' || (choice.value === 'system' && dark.matches)
  document.documentElement.dataset.theme = night ? 'dark' : 'light'
}

export function setTheme(wanted: Theme): void {
  choice.value = wanted
  localStorage.setItem(KEY, wanted)
  applyTheme()
}

dark.addEventListener('change', applyTheme)
