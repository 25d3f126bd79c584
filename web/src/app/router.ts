import { createRouter, createWebHistory } from 'vue-router'
import { addressOf, VIEWS } from '@/ui/views'

const start = VIEWS[0] ? addressOf(VIEWS[0]) : '/settings'

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', redirect: start },
    ...VIEWS.map((view) => ({
      path: view.path,
      name: addressOf(view).slice(1),
      component: view.component,
      meta: { title: view.name },
    })),
    { path: '/:rest(.*)', redirect: start },
  ],
})

router.afterEach((to) => {
  const title = typeof to.meta.title === 'string' ? `${to.meta.title} · Squallnote` : 'Squallnote'
  document.title = title
})
