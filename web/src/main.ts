import { VueQueryPlugin } from '@tanstack/vue-query'
import { createApp } from 'vue'
import { queryClient } from '@/api/queries'
import App from '@/app/App.vue'
import { router } from '@/app/router'
import { applyTheme } from '@/ui/theme'
import '@/style.css'

applyTheme()
createApp(App).use(router).use(VueQueryPlugin, { queryClient }).mount('#app')
