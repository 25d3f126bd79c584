import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, vi } from 'vitest'

// The files of tests share one window, which is slow to make: each gets modules of its own and an empty page.
vi.resetModules()
vi.useRealTimers()
document.body.innerHTML = ''
localStorage.clear()
sessionStorage.clear()
setActivePinia(createPinia())

// What one test leaves in a store is not there in the next.
beforeEach(() => {
  setActivePinia(createPinia())
})
