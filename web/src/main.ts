import { VueQueryPlugin } from '@tanstack/vue-query'
import { createPinia } from 'pinia'
import { createApp } from 'vue'
import { listen } from '@/api/live'
import { queryClient } from '@/api/queries'
import App from '@/app/App.vue'
import { router } from '@/app/router'
import { applyTheme } from '@/ui/theme'
import { VIEWS } from '@/ui/views'
import '@/style.css'

const app = createApp(App).use(createPinia())
applyTheme()
VIEWS.forEach((view) => {
  listen(view.listens)
})
app.use(router).use(VueQueryPlugin, { queryClient }).mount('#app')

// Behind the first picture: few pages need these, and their list is long.
void import('@/ui/scripts.css')
