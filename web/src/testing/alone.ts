import { vi } from 'vitest'

// The files of tests share one window, which is slow to make: each gets modules of its own and an empty page.
vi.resetModules()
vi.useRealTimers()
document.body.innerHTML = ''
localStorage.clear()
sessionStorage.clear()
